<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** How fast a place uses an item: pieces a day, above 0, exact. */
final readonly class Rate
{
    private BigInteger $pieces;

    private BigInteger $days;

    private function __construct(BigRational $perDay)
    {
        [$this->pieces, $this->days] = [$perDay->getNumerator(), $perDay->getDenominator()];
    }

    /** @return self|null null where it uses none */
    public static function of(BigRational $perDay): ?self
    {
        return $perDay->isZero() ? null : new self($perDay);
    }

    /** How many it has used after so many days, rounded down; never more than the most. */
    public function usedIn(int $days, int $most): int
    {
        $used = $this->pieces->multipliedBy($days)->quotient($this->days);

        return $used->isGreaterThanOrEqualTo($most) ? $most : $used->toInt();
    }

    /** After how many days it has used so many; never more than PHP_INT_MAX. */
    public function daysToUse(int $pieces): int
    {
        $days = $this->days->multipliedBy($pieces)->dividedBy($this->pieces, RoundingMode::UP);

        return $days->isGreaterThanOrEqualTo(PHP_INT_MAX) ? PHP_INT_MAX : $days->toInt();
    }
}
