<?php

declare(strict_types=1);

namespace App\Stock;

use App\Judging\Judged;
use Sarcina\Core\Check\FindingKind;

/** Pieces of a lot to take out of a pocket, why, and whether they return to a store. */
final readonly class PlannedOut
{
    /**
     * @param  int  $row  its place in what was judged
     * @param  string|null  $line  that its pieces are placed on
     * @param  string|null  $expires  as printed
     * @param  string  $condition  with the day of opening, as PieceCondition writes it
     */
    public function __construct(
        public int $row,
        public ?string $line,
        public string $pocketId,
        public string $item,
        public string $lotId,
        public ?string $lot,
        public ?string $expires,
        public string $condition,
        public int $quantity,
        public FindingKind $because,
        public bool $toStore,
    ) {
    }

    /** By when something is to replace what stays: its last good day, or today where that is past. */
    public function replaceBy(Judged $judged): string
    {
        $today = $judged->judgement->assignment->asOf;
        $last = $judged->atBest()->assignment->contents[$this->row]->lastGoodDay();

        return (string) ($last === null || $last->isBefore($today) ? $today : $last);
    }

    public function of(int $pieces): self
    {
        return new self(
            $this->row, $this->line, $this->pocketId, $this->item, $this->lotId, $this->lot, $this->expires, $this->condition, $pieces,
            $this->because, $this->toStore,
        );
    }
}
