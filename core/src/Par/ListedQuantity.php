<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** How many pieces a list asks for, and for how many people and days that list is made (rules.md, par). */
final readonly class ListedQuantity
{
    /**
     * @param  int  $quantity  pieces, 1 or more
     * @param  int  $people  for whom the list is made, 1 or more
     * @param  int  $days  for which the list is made, 1 or more
     * @param  bool  $isCritical  never below its quantity, however short the trip
     */
    public function __construct(
        public int $quantity,
        public Per $per,
        public int $people,
        public int $days,
        public bool $isCritical = false,
    ) {
    }

    /** Scales the quantity to a trip, rounded up to whole pieces. */
    public function scaledTo(int $people, int $days): int
    {
        $share = match ($this->per) {
            Per::Trip => BigRational::one(),
            Per::People => BigRational::nd($people, $this->people),
            Per::PersonDays => BigRational::of($people)->multipliedBy($days)->dividedBy($this->people)->dividedBy($this->days),
        };
        $scaled = $share->multipliedBy($this->quantity)->toScale(0, RoundingMode::UP)->getUnscaledValue();
        $pieces = $scaled->isGreaterThan(PHP_INT_MAX) ? PHP_INT_MAX : $scaled->toInt();

        return $this->isCritical ? max($this->quantity, $pieces) : $pieces;
    }
}
