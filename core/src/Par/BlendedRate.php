<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigRational;

/**
 * A rate of uses from a setting's rate and one's own records: the mean of the posterior of a gamma prior and a Poisson count. The prior
 * weighs as much as the person-days given for it; the more is recorded, the more the own records decide. Exact.
 */
final readonly class BlendedRate
{
    /**
     * @param  BigRational  $setting  uses in 1,000 person-days that the setting expects
     * @param  int  $weight  person-days that the setting's rate weighs as much as, 1 or more
     * @param  int  $uses  own uses on record
     * @param  int  $personDays  own person-days on record
     */
    public function __construct(
        public BigRational $setting,
        public int $weight,
        public int $uses,
        public int $personDays,
    ) {
    }

    /** Gives uses in 1,000 person-days. */
    public function per1000PersonDays(): BigRational
    {
        return $this->setting->multipliedBy($this->weight)->plus(BigRational::of($this->uses)->multipliedBy(1000))
            ->dividedBy(BigRational::of($this->weight)->plus($this->personDays))->simplified();
    }

    /** Gives the share of the rate that rests on own records, from 0 to 1. */
    public function ownShare(): BigRational
    {
        return BigRational::of($this->personDays)->dividedBy(BigRational::of($this->weight)->plus($this->personDays))->simplified();
    }
}
