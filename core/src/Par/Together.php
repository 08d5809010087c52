<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Several items that are carried at once: the chance that every one of them is enough, and what is asked of each so that the whole
 * reaches a target. Items are used independently of each other. Exact: bounds are worked out more finely until they decide.
 */
final class Together
{
    private const FIRST_BITS = 128;

    /** A common confidence is looked for in steps of a ten-thousandth. */
    private const STEPS = 10_000;

    private const FINEST_BITS = 2048;

    /**
     * @param  list<array{Poisson, int}>  $carried  with how many uses each is enough for
     * @return string to 4 places, rounded half up
     */
    public static function chance(array $carried): string
    {
        for ($bits = self::FIRST_BITS; ; $bits *= 2) {
            [$low, $high] = self::bounds($carried, $bits);
            $said = (string) $low->toScale(4, RoundingMode::HALF_UP);
            // At the very edge between two roundings the bounds never meet: then either is as good.
            if ($said === (string) $high->toScale(4, RoundingMode::HALF_UP) || $bits >= self::FINEST_BITS) {
                return $said;
            }
        }
    }

    /** @param  list<array{Poisson, int}>  $carried */
    public static function reaches(array $carried, BigRational $target): bool
    {
        for ($bits = self::FIRST_BITS; ; $bits *= 2) {
            [$low, $high] = self::bounds($carried, $bits);
            if ($low->isGreaterThanOrEqualTo($target)) {
                return true;
            }
            if ($high->isLessThan($target) || $bits >= self::FINEST_BITS) {
                return false;
            }
        }
    }

    /**
     * The least confidence, in ten-thousandths, that asked of each item lets the whole reach the target.
     *
     * @param  list<Poisson>  $items
     * @return BigRational|null null where even 0.9999 of each does not
     */
    public static function common(array $items, BigRational $target): ?BigRational
    {
        $at = static fn (int $step): BigRational => BigRational::nd($step, self::STEPS);
        $enough = static fn (int $step): bool => self::reaches(
            array_map(static fn (Poisson $one): array => [$one, $one->quantile($at($step))], $items), $target,
        );
        // Of one item alone the target itself is enough; the more there are, the more is asked of each.
        $low = max(1, $target->multipliedBy(self::STEPS)->toScale(0, RoundingMode::DOWN)->toInt());
        $high = self::STEPS - 1;
        if ($low > $high || ! $enough($high)) {
            return null;
        }
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $enough($middle) ? [$low, $middle] : [$middle + 1, $high];
        }

        return $at($low);
    }

    /**
     * @param  list<array{Poisson, int}>  $carried
     * @return array{BigRational, BigRational}
     */
    private static function bounds(array $carried, int $bits): array
    {
        [$low, $high] = [BigRational::one(), BigRational::one()];
        $fine = BigInteger::of(2)->power($bits);
        foreach ($carried as [$poisson, $uses]) {
            [$least, $most] = $poisson->atMost($uses, $bits);
            // Rounded outwards, so that figures do not grow with the number of items.
            $low = BigRational::nd($low->multipliedBy($least)->multipliedBy($fine)->toScale(0, RoundingMode::DOWN)->toBigInteger(), $fine);
            $high = BigRational::nd($high->multipliedBy($most)->multipliedBy($fine)->toScale(0, RoundingMode::UP)->toBigInteger(), $fine);
        }

        return [$low, $high];
    }
}
