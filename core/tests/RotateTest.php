<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Rotate\Held;
use Sarcina\Core\Rotate\Rate;
use Sarcina\Core\Rotate\Rotation;
use Sarcina\Core\Rotate\Used;

/** What changes places, compared with a search through all ways on small inputs; and what holds on large ones. */
final class RotateTest extends TestCase
{
    private const AS_OF = '2026-12-01';

    public function test_no_other_arrangement_uses_more_or_moves_fewer(): void
    {
        mt_srand(20261129);
        for ($round = 0; $round < 250; $round++) {
            [$held, $rates] = self::random(mt_rand(2, 4), mt_rand(2, 7));
            $plan = self::plan($held, $rates);
            [$used, $moved] = self::best($held, $rates);
            $unmoved = self::usedOf(self::pieces($held), $rates);
            $what = "round {$round}: ".serialize([$held, $rates]);
            self::assertSame($used - $unmoved, $plan->saved(), $what);
            self::assertSame($moved, array_sum(array_map(static fn ($move): int => $move->quantity, $plan->moves())), $what);
            self::assertSame(count(self::pieces($held)) - $used, $plan->items[0]->wasted, $what);
        }
    }

    public function test_a_plan_can_be_carried_out_and_saves_what_it_says(): void
    {
        mt_srand(20261130);
        for ($round = 0; $round < 40; $round++) {
            [$held, $rates] = self::random(mt_rand(5, 30), mt_rand(20, 90), 9);
            $plan = self::plan($held, $rates);
            $after = self::carriedOut($held, $plan);
            self::assertSame(self::sizes($held), self::sizes($after), 'every place keeps as many pieces as it has');
            $saved = self::usedOf(self::pieces($after), $rates) - self::usedOf(self::pieces($held), $rates);
            self::assertSame($plan->saved(), $saved);
            self::assertGreaterThanOrEqual(0, $saved);
            self::assertSame($saved * 120, $plan->value());
        }
    }

    public function test_what_is_saved_does_not_hang_on_the_order_of_the_input(): void
    {
        mt_srand(20261201);
        for ($round = 0; $round < 20; $round++) {
            [$held, $rates] = self::random(12, 40, 5);
            $moved = static fn (Rotation $plan): int => array_sum(array_map(static fn ($move): int => $move->quantity, $plan->moves()));
            $one = self::plan($held, $rates);
            shuffle($held);
            $other = self::plan($held, array_reverse($rates, true));
            self::assertSame([$one->saved(), $moved($one), $one->items[0]->wasted], [$other->saved(), $moved($other), $other->items[0]->wasted]);
        }
    }

    public function test_rates_are_exact_however_many_places_they_have(): void
    {
        // After 30 days 0.1 a day is 3 pieces, no fewer; a little less than that is 2.
        $held = [self::held('A', '2026-12-31', 3)];
        self::assertSame(0, self::plan($held, ['A' => '0.1'])->items[0]->wasted);
        self::assertSame(1, self::plan($held, ['A' => '0.099999999999999999'])->items[0]->wasted);
        // A rate at which the third is used long after any date.
        self::assertSame(3, self::plan($held, ['A' => '0.000000000000000001'])->items[0]->wasted);
        self::assertSame(0, self::plan([self::held('A', null, 3)], ['A' => '0.000000000000000001'])->items[0]->wasted, 'never is no limit');
        self::assertSame(3, self::plan([self::held('A', null, 3)], ['A' => '0'])->items[0]->wasted);
    }

    public function test_a_rate_is_exact_whether_the_machine_can_hold_its_figures_or_not(): void
    {
        mt_srand(20261202);
        foreach ([1, 6, 17, 18, 19, 25] as $digits) {
            for ($round = 0; $round < 100; $round++) {
                $perDay = BigRational::of(mt_rand(0, 2).'.'.str_repeat('0', mt_rand(0, $digits - 1)).mt_rand(1, 9).str_repeat('3', mt_rand(0, $digits)));
                $rate = Rate::of($perDay) ?? self::fail('It is above 0.');
                [$days, $pieces] = [mt_rand(0, 40_000), mt_rand(1, 5_000)];
                $used = $perDay->multipliedBy($days)->toScale(0, RoundingMode::DOWN)->toBigInteger();
                self::assertSame(min(5_000, $used->isGreaterThan(5_000) ? 5_000 : $used->toInt()), $rate->usedIn($days, 5_000), "{$perDay}, {$days} days");
                $until = BigRational::of($pieces)->dividedBy($perDay)->toScale(0, RoundingMode::UP)->toBigInteger();
                $until = $until->isGreaterThan(PHP_INT_MAX) ? PHP_INT_MAX : $until->toInt();
                self::assertSame($until, $rate->daysToUse($pieces), "{$perDay}, {$pieces} pieces");
            }
        }
    }

    /** @return array{list<Held>, array<string, string>} */
    private static function random(int $places, int $rows, int $most = 1): array
    {
        $held = $rates = [];
        for ($place = 0; $place < $places; $place++) {
            $rates["P{$place}"] = ['0', '0.01', '0.05', '0.1', '0.2', '0.37'][mt_rand(0, 5)];
        }
        for ($row = 0; $row < $rows; $row++) {
            $in = [-1, 0, 4, 5, 10, 20, 30, 100, 400, null][mt_rand(0, 9)];
            $expires = $in === null ? null : (string) Day::of(self::AS_OF)->plusDays($in);
            $held[] = self::held('P'.mt_rand(0, $places - 1), $expires, mt_rand(1, $most), mt_rand(0, 4) === 0);
        }

        return [$held, $rates];
    }

    private static function held(string $place, ?string $expires, int $quantity, bool $isFixed = false): Held
    {
        return new Held($place, 'burn-gel', null, $expires === null ? null : PrintedDate::of($expires), $quantity, $isFixed);
    }

    /**
     * @param  list<Held>  $held
     * @param  array<string, string>  $rates
     */
    private static function plan(array $held, array $rates): Rotation
    {
        return Rotation::of(Day::of(self::AS_OF), [['burn-gel', 120]], $held, array_map(
            static fn (string $place, string $rate): Used => new Used($place, 'burn-gel', Rate::of(BigRational::of($rate))),
            array_keys($rates), $rates,
        ));
    }

    /**
     * @param  list<Held>  $held
     * @return list<Held> one piece each
     */
    private static function pieces(array $held): array
    {
        $pieces = [];
        foreach ($held as $one) {
            for ($i = 0; $i < $one->quantity; $i++) {
                $pieces[] = new Held($one->place, $one->item, $one->lot, $one->expires, 1, $one->isFixed);
            }
        }

        return $pieces;
    }

    /**
     * As the rule says it, with a slot for each piece: whether each is used.
     *
     * @param  list<Held>  $pieces
     * @param  array<string, string>  $rates
     */
    private static function usedOf(array $pieces, array $rates): int
    {
        $used = 0;
        foreach ($rates as $place => $rate) {
            $here = array_filter($pieces, static fn (Held $one): bool => $one->place === $place && ! $one->isExpired(Day::of(self::AS_OF)));
            $limits = array_map(static fn (Held $one): int => self::limit($one, $rate), $here);
            sort($limits);
            // In the order of their dates each takes the next slot, where it is in time for that.
            $slot = 1;
            foreach ($limits as $limit) {
                if ($slot <= $limit) {
                    $used++;
                    $slot++;
                }
            }
        }

        return $used;
    }

    private static function limit(Held $piece, string $rate): int
    {
        $perDay = BigRational::of($rate);
        if ($perDay->isZero()) {
            return 0;
        }
        if ($piece->expires === null) {
            return 1_000_000;
        }
        $used = $perDay->multipliedBy($piece->expires->lastGoodDay->number - Day::of(self::AS_OF)->number);

        return $used->getNumerator()->quotient($used->getDenominator())->toInt();
    }

    /**
     * Of all arrangements the most pieces used, and the fewest moved for that.
     *
     * @param  list<Held>  $held
     * @param  array<string, string>  $rates
     * @return array{int, int}
     */
    private static function best(array $held, array $rates): array
    {
        $isLoose = static fn (Held $one): bool => ! $one->isFixed && ! $one->isExpired(Day::of(self::AS_OF));
        $pieces = self::pieces($held);
        $loose = array_values(array_filter($pieces, $isLoose));
        $stay = array_values(array_filter($pieces, static fn (Held $one): bool => ! $isLoose($one)));
        $best = [-1, 0];
        foreach (self::orders(array_map(static fn (Held $one): string => $one->place, $loose)) as $places) {
            $moved = 0;
            $put = [];
            foreach ($loose as $at => $one) {
                $moved += $one->place === $places[$at] ? 0 : 1;
                $put[] = new Held($places[$at], $one->item, $one->lot, $one->expires, 1);
            }
            $used = self::usedOf([...$stay, ...$put], $rates);
            $best = max($best, [$used, -$moved]);
        }

        return [$best[0], -$best[1]];
    }

    /**
     * @param  list<string>  $names
     * @return iterable<list<string>> each order of them once
     */
    private static function orders(array $names): iterable
    {
        if ($names === []) {
            yield [];

            return;
        }
        foreach (array_unique($names) as $at => $first) {
            $rest = $names;
            unset($rest[$at]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }

    /**
     * @param  list<Held>  $held
     * @return list<Held>
     */
    private static function carriedOut(array $held, Rotation $plan): array
    {
        $pieces = self::pieces($held);
        foreach ($plan->moves() as $move) {
            for ($i = 0; $i < $move->quantity; $i++) {
                $at = array_search(true, array_map(static fn (Held $one): bool => ! $one->isFixed && $one->place === $move->from
                    && $one->expires?->text === $move->expires?->text, $pieces), true);
                self::assertIsInt($at, 'what moves is there and is not fixed');
                // It has arrived, and does not go on from there.
                $pieces[$at] = new Held($move->to, $move->item, $move->lot, $move->expires, 1, true);
            }
        }

        return $pieces;
    }

    /**
     * @param  list<Held>  $held
     * @return array<string, int>
     */
    private static function sizes(array $held): array
    {
        $sizes = [];
        foreach ($held as $one) {
            $sizes[$one->place] = ($sizes[$one->place] ?? 0) + $one->quantity;
        }
        ksort($sizes);

        return $sizes;
    }
}
