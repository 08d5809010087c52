<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

use Sarcina\Core\Kit\Item;

/** One line of a list: a need, how many pieces or how much in all, and what can serve it in order of preference. */
final readonly class Line
{
    /**
     * @param  non-empty-list<Accepted>  $accepts
     * @param  bool  $anyoneMayUse  a public station for bystanders: scope is not looked at
     */
    private function __construct(
        public string $id,
        public Rank $rank,
        public array $accepts,
        public ?int $quantity,
        public ?Total $total,
        public bool $anyoneMayUse = false,
    ) {
    }

    /** @param  non-empty-list<Accepted>  $accepts */
    public static function counted(string $id, Rank $rank, array $accepts, int $quantity, bool $anyoneMayUse = false): self
    {
        return new self($id, $rank, $accepts, $quantity, null, $anyoneMayUse);
    }

    /** The same under another id: in the document of a kit the lines of a module have its code before theirs. */
    public function named(string $id): self
    {
        return new self($id, $this->rank, $this->accepts, $this->quantity, $this->total, $this->anyoneMayUse);
    }

    /** How many pieces it asks for; none where it asks for a total. */
    public function pieces(): int
    {
        return (int) $this->quantity;
    }

    /** The place of the first entry that the item matches; null where the line does not accept it. */
    public function entryFor(Item $item): ?int
    {
        foreach ($this->accepts as $place => $accepted) {
            if ($accepted->matches($item)) {
                return $place;
            }
        }

        return null;
    }

    /** @param  non-empty-list<Accepted>  $accepts */
    public static function totalled(string $id, Rank $rank, array $accepts, Total $total, bool $anyoneMayUse = false): self
    {
        return new self($id, $rank, $accepts, null, $total, $anyoneMayUse);
    }
}
