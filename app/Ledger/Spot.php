<?php

declare(strict_types=1);

namespace App\Ledger;

/** Where pieces lie and in what condition: a pocket of a kit, or a store. */
final readonly class Spot
{
    private function __construct(
        public ?string $kitId,
        public ?string $pocketId,
        public ?string $storeId,
        public string $condition,
    ) {
    }

    public static function pocket(string $kitId, string $pocketId, string $condition = 'good'): self
    {
        return new self(strtolower($kitId), strtolower($pocketId), null, $condition);
    }

    public static function store(string $storeId, string $condition = 'good'): self
    {
        return new self(null, null, strtolower($storeId), $condition);
    }

    public function whereabouts(): string
    {
        return $this->storeId ?? "{$this->kitId}/{$this->pocketId}";
    }
}
