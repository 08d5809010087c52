<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * How often something happens that happens independently, at an even rate. Every answer is exact: probabilities are held between a lower
 * and an upper bound, rounded down and up, and worked out more finely until the bounds decide. In the end they do: for a mean above 0 no
 * such probability is a fraction.
 */
final readonly class Poisson
{
    private const FIRST_BITS = 128;

    public function __construct(public BigRational $mean)
    {
    }

    /**
     * The least number that is not exceeded with at least that probability.
     *
     * @param  BigRational  $confidence  above 0 and below 1
     */
    public function quantile(BigRational $confidence): int
    {
        if ($this->mean->isZero()) {
            return 0;
        }
        for ($bits = self::FIRST_BITS; ; $bits *= 2) {
            $answer = $this->decide($confidence, BigInteger::of(2)->power($bits));
            if ($answer !== null) {
                return $answer;
            }
        }
    }

    /**
     * By weights that are in proportion to the probabilities, the greatest of them being as fine as that.
     *
     * @return int|null null where the bounds do not decide
     */
    private function decide(BigRational $confidence, BigInteger $fine): ?int
    {
        $most = $this->mean->toScale(0, RoundingMode::DOWN)->getUnscaledValue()->toInt();
        [$below, $restBelow] = $this->below($most, $fine);
        [$above, $restAbove] = $this->above($most, $fine);
        $weights = array_merge(array_reverse($below), [[$fine, $fine]], $above);
        $least = $greatest = BigInteger::zero();
        foreach ($weights as [$low, $high]) {
            $least = $least->plus($low);
            $greatest = $greatest->plus($high);
        }
        // P(at most k) reaches the confidence where the weight up to k, times its denominator, reaches the weight of all, times its numerator.
        $surely = $greatest->plus($restBelow)->plus($restAbove)->multipliedBy($confidence->getNumerator());
        $perhaps = $least->multipliedBy($confidence->getNumerator());
        [$low, $high] = [BigInteger::zero(), $restBelow];
        $first = $most - count($below);
        foreach ($weights as $at => [$lower, $upper]) {
            [$low, $high] = [$low->plus($lower), $high->plus($upper)];
            if ($low->multipliedBy($confidence->getDenominator())->isGreaterThanOrEqualTo($surely)) {
                return $first + $at;
            }
            if ($high->multipliedBy($confidence->getDenominator())->isGreaterThanOrEqualTo($perhaps)) {
                return null;
            }
        }

        return null;
    }

    /**
     * From the most likely number down, each w(i - 1) = w(i) i / mean.
     *
     * @return array{list<array{BigInteger, BigInteger}>, BigInteger} bounds of the weights, and an upper bound of all that is left out
     */
    private function below(int $most, BigInteger $fine): array
    {
        $weights = [];
        [$low, $high] = [$fine, $fine];
        [$numerator, $denominator] = [$this->mean->getNumerator(), $this->mean->getDenominator()];
        for ($i = $most; $i > 0; $i--) {
            if ($low->isZero()) {
                // The ratios shrink from here on: the rest is less than w (i / mean) / (1 - i / mean).
                return [$weights, self::up($high->multipliedBy($denominator)->multipliedBy($i), $numerator->minus($denominator->multipliedBy($i)))];
            }
            $low = $low->multipliedBy($denominator)->multipliedBy($i)->quotient($numerator);
            $high = self::up($high->multipliedBy($denominator)->multipliedBy($i), $numerator);
            $weights[] = [$low, $high];
        }

        return [$weights, BigInteger::zero()];
    }

    /**
     * From the most likely number up, each w(i + 1) = w(i) mean / (i + 1).
     *
     * @return array{list<array{BigInteger, BigInteger}>, BigInteger} bounds of the weights, and an upper bound of all that is left out
     */
    private function above(int $most, BigInteger $fine): array
    {
        $weights = [];
        [$low, $high] = [$fine, $fine];
        [$numerator, $denominator] = [$this->mean->getNumerator(), $this->mean->getDenominator()];
        for ($i = $most + 1; ! $low->isZero(); $i++) {
            $low = $low->multipliedBy($numerator)->quotient($denominator->multipliedBy($i));
            $high = self::up($high->multipliedBy($numerator), $denominator->multipliedBy($i));
            $weights[] = [$low, $high];
        }

        // The ratios shrink from here on: the rest is less than w (mean / i) / (1 - mean / i).
        return [$weights, self::up($high->multipliedBy($numerator), $denominator->multipliedBy($i)->minus($numerator))];
    }

    private static function up(BigInteger $dividend, BigInteger $divisor): BigInteger
    {
        return $dividend->dividedBy($divisor, RoundingMode::UP);
    }
}
