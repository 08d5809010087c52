<?php

declare(strict_types=1);

namespace Sarcina\Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * A length, volume or mass with its unit, exact: "12 cm", "2.5 yd", "15 ml".
 *
 * It is held as a decimal count of the dimension's grains (1 nm, 0.1 nl, 1 ng), a
 * plain integer where that is exact and fits, so that nothing is ever rounded.
 */
final readonly class Quantity
{
    private const PLACES = 4;

    /** Whole numbers of so many digits come to an integer of grains in every unit, and need no long arithmetic to be read. */
    private const SHORT = 5;

    private function __construct(
        public Unit $unit,
        public string $text,
        private ?int $grains,
        private BigDecimal $exact,
    ) {
    }

    /** @throws NotAQuantity where the text is not `number unit` with one space and a known unit */
    public static function of(string $text): self
    {
        if (preg_match('/^(?<number>\d{1,40}(?:\.\d{1,40})?) (?<unit>\S+)$/D', $text, $parts) !== 1) {
            throw NotAQuantity::written($text);
        }
        $unit = Unit::tryFrom($parts['unit']) ?? throw NotAQuantity::unitNotKnown($text, $parts['unit']);

        if (ctype_digit($parts['number']) && strlen($parts['number']) <= self::SHORT) {
            $grains = (int) $parts['number'] * $unit->grains();

            return new self($unit, $text, $grains, BigDecimal::of($grains));
        }

        return self::exactly($unit, $text, BigDecimal::of($parts['number'])->multipliedBy($unit->grains()));
    }

    public static function zero(Unit $unit): self
    {
        return self::exactly($unit, '0 '.$unit->value, BigDecimal::zero());
    }

    public function dimension(): Dimension
    {
        return $this->unit->dimension();
    }

    public function isPositive(): bool
    {
        return $this->exact->isPositive();
    }

    /** Whether both are of one dimension and this is `$other` or more. */
    /** Says whether this is a measure of the same dimension and no more than the other. */
    public function isAtMost(self $other): bool
    {
        return $other->isAtLeast($this);
    }

    public function isAtLeast(self $other): bool
    {
        if ($this->unit->dimension() !== $other->unit->dimension()) {
            return false;
        }
        if ($this->grains !== null && $other->grains !== null) {
            return $this->grains >= $other->grains;
        }

        return $this->exact->isGreaterThanOrEqualTo($other->exact);
    }

    /** This and `$count` times `$other`, in this one's unit. Both are of one dimension. */
    public function plus(self $other, int $count = 1): self
    {
        return $this->inUnit($this->exact->plus($other->exact->multipliedBy($count)));
    }

    /** What `$other` lacks to this, or zero. Both are of one dimension. */
    public function lessWhatIsThere(self $other): self
    {
        $rest = $this->exact->minus($other->exact);

        return $rest->isPositive() ? $this->inUnit($rest) : self::zero($this->unit);
    }

    /** The fewest whole pieces of this size that come to at least `$wanted`. */
    public function piecesFor(self $wanted): int
    {
        return $wanted->exact->dividedBy($this->exact, 0, RoundingMode::CEILING)->toInt();
    }

    /** Whether at most `$pieces` pieces of this size come to `$wanted`. */
    public function comesToWithin(self $wanted, int $pieces): bool
    {
        return $this->exact->multipliedBy($pieces)->isGreaterThanOrEqualTo($wanted->exact);
    }

    /** Rounded half up to 4 places, zeros at the end dropped: "0.5 yd". */
    public function __toString(): string
    {
        $rounded = $this->exact->dividedBy($this->unit->grains(), self::PLACES, RoundingMode::HALF_UP);
        $text = (string) $rounded;

        return rtrim(rtrim($text, '0'), '.').' '.$this->unit->value;
    }

    /** The same in another unit of its dimension; exact, and rounded only where it is printed. */
    public function as(Unit $unit): self
    {
        return $unit->dimension() === $this->unit->dimension() ? self::exactly($unit, '', $this->exact) : $this;
    }

    private function inUnit(BigDecimal $grains): self
    {
        return self::exactly($this->unit, '', $grains);
    }

    /** Where it is a whole number of grains that fits, that is kept beside it: two integers compare much sooner. */
    private static function exactly(Unit $unit, string $text, BigDecimal $grains): self
    {
        $whole = filter_var((string) $grains->stripTrailingZeros(), FILTER_VALIDATE_INT);

        return new self($unit, $text, $whole === false ? null : $whole, $grains);
    }
}
