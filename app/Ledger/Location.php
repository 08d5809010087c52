<?php

declare(strict_types=1);

namespace App\Ledger;

/** Where pieces are and in what condition: in a pocket of a kit, or in a store. */
final readonly class Location
{
    private function __construct(
        public ?string $kitId,
        public ?string $pocketId,
        public ?string $storeId,
        public string $condition,
    ) {
    }

    /** @param  string  $pocketId  of a module in the kit: with the module's id and a dot before it; then it is the module that holds it */
    public static function pocket(string $kitId, string $pocketId, string $condition = 'good'): self
    {
        if (str_contains($pocketId, '.')) {
            [$kitId, $pocketId] = explode('.', $pocketId, 2);
        }

        return new self(strtolower($kitId), strtolower($pocketId), null, $condition);
    }

    public static function store(string $storeId, string $condition = 'good'): self
    {
        return new self(null, null, strtolower($storeId), $condition);
    }

    /** A key for the place without the condition: the store's id, or the kit's and the pocket's. */
    public function whereabouts(): string
    {
        return $this->storeId ?? "{$this->kitId}/{$this->pocketId}";
    }
}
