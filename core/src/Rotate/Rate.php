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

    /** @var array{int<1, max>, int<1, max>}|null the same two where the machine holds them: a product of these is exact where it is an int */
    private ?array $small;

    private function __construct(BigRational $perDay)
    {
        [$this->pieces, $this->days] = [$perDay->getNumerator(), $perDay->getDenominator()];
        $isSmall = $this->pieces->isLessThanOrEqualTo(PHP_INT_MAX) && $this->days->isLessThanOrEqualTo(PHP_INT_MAX);
        $this->small = $isSmall ? [max(1, $this->pieces->toInt()), max(1, $this->days->toInt())] : null;
    }

    /** @return self|null null where it uses none */
    public static function of(BigRational $perDay): ?self
    {
        return $perDay->isZero() ? null : new self($perDay);
    }

    /** How many it has used after so many days, rounded down; never more than the most. */
    public function usedIn(int $days, int $most): int
    {
        $product = $this->small === null ? 0.0 : $this->small[0] * $days;
        if (is_int($product)) {
            return min($most, intdiv($product, $this->small[1]));
        }
        $used = $this->pieces->multipliedBy($days)->quotient($this->days);

        return $used->isGreaterThanOrEqualTo($most) ? $most : $used->toInt();
    }

    /** After how many days it has used so many; never more than PHP_INT_MAX. */
    public function daysToUse(int $pieces): int
    {
        $product = $this->small === null ? 0.0 : $this->small[1] * $pieces;
        if (is_int($product)) {
            return intdiv($product, $this->small[0]) + ($product % $this->small[0] === 0 ? 0 : 1);
        }
        $days = $this->days->multipliedBy($pieces)->dividedBy($this->pieces, RoundingMode::UP);

        return $days->isGreaterThanOrEqualTo(PHP_INT_MAX) ? PHP_INT_MAX : $days->toInt();
    }
}
