<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Scope;

/** A kit as a design packs it. */
final readonly class Packing
{
    /** @var array<string, Compartment> by id */
    private array $byId;

    /**
     * @param  list<Compartment>  $compartments
     * @param  list<PackedLine>  $lines
     * @param  list<ItemClass>  $excludes  the excluded classes of its list
     * @param  Scope|null  $scope  the lowest of those who have a kit of it; null where there is none yet
     * @param  bool  $isLatexFree  whether somebody of the team is allergic to latex
     * @param  Wrappers|null  $wrappers  which school it follows; null: none was chosen
     */
    public function __construct(
        public array $compartments,
        public array $lines,
        public array $excludes = [],
        public ?Scope $scope = null,
        public bool $isLatexFree = false,
        public ?Wrappers $wrappers = null,
    ) {
        $this->byId = array_column(
            array_map(static fn (Compartment $one): array => [$one->id, $one], $compartments),
            1,
            0,
        );
    }

    /** @return list<Compartment> the compartment and what it lies in, the innermost first */
    public function around(string $id): array
    {
        $around = [];
        for ($one = $this->byId[$id] ?? null; $one !== null; $one = $this->byId[$one->parent ?? ''] ?? null) {
            $around[] = $one;
        }

        return $around;
    }

    /** How many closures are opened before one has it in hand. */
    public function reach(string $id): int
    {
        return count(array_filter($this->around($id), static fn (Compartment $one): bool => $one->closes));
    }

    /** The fewest closures before a piece of the line is in hand; null where it is in no compartment. */
    public function reachOf(PackedLine $line): ?int
    {
        return $line->pieces === [] ? null : min(array_map(
            fn (string|int $compartment): int => $this->reach((string) $compartment),
            array_keys($line->pieces),
        ));
    }

    /** Whether something of both lies in one pocket or pouch, or one of them in a pouch inside it. */
    public function areTogether(PackedLine $one, PackedLine $other): bool
    {
        foreach (array_keys($one->pieces) as $here) {
            foreach (array_keys($other->pieces) as $there) {
                $shared = array_intersect($this->pockets((string) $here), $this->pockets((string) $there));
                if ($shared !== []) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> ids of the compartment and what it lies in, the leaf left out */
    private function pockets(string $id): array
    {
        return array_map(
            static fn (Compartment $one): string => $one->id,
            array_values(array_filter($this->around($id), static fn (Compartment $one): bool => $one->parent !== null)),
        );
    }

    public function isExposed(string $id): bool
    {
        $around = $this->around($id);

        return array_filter($around, static fn (Compartment $one): bool => $one->isExposedToRain) !== []
            && array_filter($around, static fn (Compartment $one): bool => $one->isWaterproof) === [];
    }
}
