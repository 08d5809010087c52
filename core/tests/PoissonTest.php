<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Par\Carried;
use Sarcina\Core\Par\Counted;
use Sarcina\Core\Par\Poisson;
use Sarcina\Core\Par\Together;

/** How many uses are enough: compared with sums of fractions, and at the very steps. */
final class PoissonTest extends TestCase
{
    public function test_it_is_the_least_number_that_reaches_the_confidence(): void
    {
        mt_srand(20261128);
        for ($round = 0; $round < 30; $round++) {
            $mean = BigRational::of(mt_rand(1, 4000))->dividedBy(mt_rand(100, 900));
            $confidence = BigRational::of(mt_rand(1, 999_999))->dividedBy(1_000_000);
            $k = (new Poisson($mean))->quantile($confidence);
            self::assertTrue(self::reaches($mean, $k, $confidence), "{$k} is enough for {$mean} at {$confidence}");
            self::assertTrue($k === 0 || ! self::reaches($mean, $k - 1, $confidence), "fewer than {$k} are not, for {$mean} at {$confidence}");
        }
    }

    public function test_close_to_a_step_the_answer_turns_where_the_step_is(): void
    {
        // P(at most 1) with mean 1 is 2 / e, between these two.
        $mean = BigRational::of(1);
        $below = '0.735758882342884643191047540322921734891622262';
        $above = '0.735758882342884643191047540322921734891622263';
        self::assertSame([1, 2], [
            (new Poisson($mean))->quantile(BigRational::of($below)), (new Poisson($mean))->quantile(BigRational::of($above)),
        ]);
        // So sure that 128 bits do not decide.
        $sure = BigRational::of('0.'.str_repeat('9', 60));
        $k = (new Poisson($mean))->quantile($sure);
        self::assertTrue(self::reaches($mean, $k, $sure, 80));
        self::assertFalse(self::reaches($mean, $k - 1, $sure, 80));
    }

    public function test_more_people_days_or_confidence_never_ask_for_less(): void
    {
        $par = static fn (int $people, int $days, string $confidence): int => Carried::of(
            'x', BigRational::of($confidence), $people, $days, BigRational::of('8.5'), 2, 1,
        )->par;
        $last = 0;
        foreach ([0, 1, 5, 12, 50, 400, 3000] as $people) {
            self::assertGreaterThanOrEqual($last, $last = $par($people, 7, '0.95'));
        }
        $last = 0;
        foreach (['0.1', '0.5', '0.9', '0.99', '0.999999'] as $confidence) {
            self::assertGreaterThanOrEqual($last, $last = $par(40, 7, $confidence));
        }
        self::assertSame(1, $par(0, 7, '0.95'), 'its floor');
    }

    public function test_the_chance_that_all_hold_together_is_the_product_of_each(): void
    {
        $one = new Poisson(BigRational::of(1));
        // P(at most 1) with mean 1 is 0.7357588…; its square 0.5413411…
        self::assertSame('0.7358', Together::chance([[$one, 1]]));
        self::assertSame('0.5413', Together::chance([[$one, 1], [$one, 1]]));
        self::assertSame('1.0000', Together::chance([]));
        self::assertSame('1.0000', Together::chance([[new Poisson(BigRational::zero()), 0]]));
        self::assertTrue(Together::reaches([[$one, 1]], BigRational::of('0.735758882342884643191047540322921734891622262')));
        self::assertFalse(Together::reaches([[$one, 1]], BigRational::of('0.735758882342884643191047540322921734891622263')));
    }

    public function test_a_common_confidence_is_the_least_by_which_the_whole_reaches_the_target(): void
    {
        mt_srand(20261202);
        for ($round = 0; $round < 8; $round++) {
            $items = [];
            for ($i = 0; $i < 6; $i++) {
                $items[] = new Poisson(BigRational::nd(mt_rand(1, 500), 100)->simplified());
            }
            $target = BigRational::of('0.9');
            $common = Together::common($items, $target);
            self::assertNotNull($common);
            $carried = static fn (BigRational $each): array => array_map(static fn (Poisson $one): array => [$one, $one->quantile($each)], $items);
            self::assertTrue(Together::reaches($carried($common), $target));
            $less = $common->minus(BigRational::nd(1, 10_000));
            self::assertTrue($less->isLessThan($target) || ! Together::reaches($carried($less), $target), "{$common} is the least");
        }
        self::assertNull(Together::common(array_fill(0, 60, new Poisson(BigRational::of(2))), BigRational::of('0.9999')));
    }

    public function test_a_rate_is_as_uncertain_as_the_uses_are_few(): void
    {
        // Nine chances in ten: of 0 uses means to 2.9957, of 10 from 5.4254 to 16.9622 (tables of the Poisson distribution).
        [$none, $ten] = [Counted::of(0), Counted::of(10)];
        self::assertSame(['0', '3'], [(string) $none->least, (string) $none->most]);
        self::assertSame(['5.43', '16.97'], [(string) $ten->least->toScale(2), (string) $ten->most->toScale(2)]);
        self::assertTrue($ten->isEnough());
        self::assertFalse(Counted::of(9)->isEnough());
        // Of 1 use from 0.0513, the mean at which one in twenty sees any, to 4.7439, at which one in twenty sees no more.
        $one = Counted::of(1);
        self::assertSame(['0.06', '4.75'], [(string) $one->least->toScale(2), (string) $one->most->toScale(2)]);
    }

    public function test_a_large_mean_is_as_exact(): void
    {
        $k = (new Poisson(BigRational::of(250_000)))->quantile(BigRational::of('0.95'));
        // Normal to within a piece or two at this size: 250000 + 1.645 x 500 is 250822.
        self::assertEqualsWithDelta(250_823, $k, 3);
    }

    /** By the series of e, with so many digits. */
    private static function reaches(BigRational $mean, int $k, BigRational $confidence, int $digits = 24): bool
    {
        [$scale, $small] = [$digits * 2, BigDecimal::one()->dividedBy(BigDecimal::of(10)->power($digits), $digits * 2)];
        $by = $mean->toScale($scale, RoundingMode::HALF_UP);
        [$sum, $term, $upTo] = [BigDecimal::zero(), BigDecimal::one(), BigDecimal::zero()];
        for ($i = 0; $i <= $k || $term->isGreaterThan($small); $i++) {
            $term = $i === 0 ? $term : $term->multipliedBy($by)->dividedBy($i, $scale, RoundingMode::DOWN);
            $sum = $sum->plus($term);
            $upTo = $i <= $k ? $upTo->plus($term) : $upTo;
        }

        return $upTo->isGreaterThanOrEqualTo($sum->multipliedBy($confidence->toScale($scale, RoundingMode::HALF_UP)));
    }
}
