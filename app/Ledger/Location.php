<?php

declare(strict_types=1);

namespace App\Ledger;

/** Where pieces are and in what condition: in a pocket of a kit, in a store, or unaccounted for. */
final readonly class Location
{
    /** Stands in place of the pocket. */
    public const UNACCOUNTED = 'unaccounted';

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

    /** Names the pieces of a kit that are neither in it nor in a store until somebody settles where they are. */
    public static function unaccounted(string $kitId, string $condition = 'good'): self
    {
        return new self(strtolower($kitId), null, null, $condition);
    }

    public function isUnaccounted(): bool
    {
        return $this->kitId !== null && $this->pocketId === null;
    }

    public static function store(string $storeId, string $condition = 'good'): self
    {
        return new self(null, null, strtolower($storeId), $condition);
    }

    /** Names a place in a kit as `holdings.whereabouts` has it. */
    public static function inKit(string $kitId, ?string $pocketId): string
    {
        return $kitId.'/'.($pocketId ?? self::UNACCOUNTED);
    }

    /** A key for the place without the condition: the store's id, or the kit's and the pocket's. */
    public function whereabouts(): string
    {
        return $this->storeId ?? self::inKit((string) $this->kitId, $this->pocketId);
    }
}
