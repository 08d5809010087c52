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
final class Poisson
{
    private const FIRST_BITS = 128;

    /** @var array<int, array{int, list<array{BigInteger, BigInteger}>, array{BigInteger, BigInteger}}> worked out once for each fineness */
    private array $sums = [];

    public function __construct(public readonly BigRational $mean)
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
            $answer = $this->decide($confidence, $bits);
            if ($answer !== null) {
                return $answer;
            }
        }
    }

    /**
     * The probability that a number is not exceeded.
     *
     * @param  int  $bits  how finely it is worked out
     * @return array{BigRational, BigRational} bounds of it
     */
    public function atMost(int $number, int $bits = self::FIRST_BITS): array
    {
        $one = BigRational::one();
        if ($this->mean->isZero()) {
            return [$one, $one];
        }
        [$first, $sums, [$least, $greatest]] = $this->sums($bits);
        $last = count($sums) - 1;
        if ($number < $first) {
            return [BigRational::zero(), BigRational::nd($sums[0][1], $least)];
        }
        [$low, $high] = $sums[min($number - $first, $last)];
        if ($number - $first > $last) {
            return [BigRational::nd($low, $greatest), $one];
        }
        $upper = BigRational::nd($high, $least);

        return [BigRational::nd($low, $greatest), $upper->isGreaterThan($one) ? $one : $upper];
    }

    /** @return int|null null where the bounds do not decide */
    private function decide(BigRational $confidence, int $bits): ?int
    {
        [$first, $sums, [$least, $greatest]] = $this->sums($bits);
        // P(at most k) reaches the confidence where the weight up to k, times its denominator, reaches the weight of all, times its numerator.
        $surely = $greatest->multipliedBy($confidence->getNumerator());
        $perhaps = $least->multipliedBy($confidence->getNumerator());
        foreach ($sums as $at => [$low, $high]) {
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
     * By weights that are in proportion to the probabilities, the greatest of them being 2 to the power of the bits.
     *
     * @return array{int, list<array{BigInteger, BigInteger}>, array{BigInteger, BigInteger}} the first number that has a weight, bounds of
     *                                                                                       the weight up to it and each after it, and of
     *                                                                                       the weight of all
     */
    private function sums(int $bits): array
    {
        if (isset($this->sums[$bits])) {
            return $this->sums[$bits];
        }
        $fine = BigInteger::of(2)->power($bits);
        $most = $this->mean->toScale(0, RoundingMode::DOWN)->getUnscaledValue()->toInt();
        [$below, $restBelow] = $this->below($most, $fine);
        [$above, $restAbove] = $this->above($most, $fine);
        $sums = [];
        [$low, $high] = [BigInteger::zero(), $restBelow];
        foreach ([...array_reverse($below), [$fine, $fine], ...$above] as [$lower, $upper]) {
            $sums[] = [$low, $high] = [$low->plus($lower), $high->plus($upper)];
        }

        return $this->sums[$bits] = [$most - count($below), $sums, [$low, $high->plus($restAbove)]];
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
