<?php

declare(strict_types=1);

namespace App\Stock;

use Sarcina\Core\Lists\Rank;

/** Pieces of a lot to put into a pocket, for a line or beside what needs them. */
final readonly class PlannedIn
{
    /**
     * @param  string|null  $line  null for what is put beside another item
     * @param  Rank|null  $rank  of the line
     * @param  string|null  $expires  as printed
     * @param  bool  $shortDated  it expires before the next check and its margin
     * @param  bool  $standsIn  another item than the line's first choice
     * @param  list<string>  $accepts  items in the store that serve as well, best first
     */
    public function __construct(
        public ?string $line,
        public ?Rank $rank,
        public string $need,
        public ?string $pocketId,
        public string $item,
        public string $lotId,
        public ?string $lot,
        public ?string $expires,
        public int $quantity,
        public bool $shortDated,
        public bool $standsIn,
        public array $accepts = [],
    ) {
    }

    public function of(int $pieces): self
    {
        return new self(
            $this->line, $this->rank, $this->need, $this->pocketId, $this->item, $this->lotId, $this->lot, $this->expires, $pieces,
            $this->shortDated, $this->standsIn, $this->accepts,
        );
    }
}
