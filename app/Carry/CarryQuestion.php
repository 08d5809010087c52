<?php

declare(strict_types=1);

namespace App\Carry;

use App\Lists\Models\KitList;
use Brick\Math\BigRational;

/** For whom, how long and in which setting something is carried, and how sure it is to be. */
final readonly class CarryQuestion
{
    /**
     * @param  BigRational  $each  the confidence that is asked of each item
     * @param  BigRational|null  $together  the chance that all are to be enough at once, for which a common confidence is looked for
     * @param  int|null  $covered  how many people the records are of; null: those of the signed assessments
     * @param  KitList|null  $list  what is carried at least; null: nobody chose one yet
     */
    public function __construct(
        public int $people,
        public int $days,
        public Setting $setting,
        public BigRational $each,
        public ?BigRational $together,
        public ?int $covered,
        public ?KitList $list,
    ) {
    }
}
