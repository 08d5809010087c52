<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigRational;

/** An item that is carried for so many people and days: how often it will be needed, and how much of it is enough. */
final readonly class Carried
{
    private function __construct(
        public string $item,
        public BigRational $mean,
        public int $uses,
        public int $par,
    ) {
    }

    /**
     * @param  BigRational  $confidence  with which it is to be enough, above 0 and below 1
     * @param  BigRational  $rate  uses in 1000 person-days
     * @param  int  $floor  that is carried in any case
     */
    public static function of(
        string $item, BigRational $confidence, int $people, int $days, BigRational $rate, int $piecesPerUse, int $floor,
    ): self {
        $mean = $rate->multipliedBy($people)->multipliedBy($days)->dividedBy(1000)->simplified();
        $uses = (new Poisson($mean))->quantile($confidence);

        return new self($item, $mean, $uses, max($floor, $uses * $piecesPerUse));
    }
}
