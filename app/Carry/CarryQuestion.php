<?php

declare(strict_types=1);

namespace App\Carry;

use Brick\Math\BigRational;

/** For how many people and days, and how sure it is to be. */
final readonly class CarryQuestion
{
    /**
     * @param  BigRational  $each  the confidence that is asked of each item by itself
     * @param  BigRational|null  $together  the chance that all are to be enough at once, for which a common confidence is looked for
     * @param  int|null  $covered  how many people the records are of; null: those of the signed assessments
     * @param  string|null  $listId  the edition of a list whose items are meant
     * @param  list<string>  $items  codes; none: those of the list, else all that were used
     */
    public function __construct(
        public int $people,
        public int $days,
        public BigRational $each,
        public ?BigRational $together,
        public ?int $covered,
        public ?string $listId,
        public array $items,
    ) {
    }
}
