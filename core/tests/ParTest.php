<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Par\BlendedRate;
use Sarcina\Core\Par\Carried;
use Sarcina\Core\Par\ListedQuantity;
use Sarcina\Core\Par\Per;
use Sarcina\Core\Par\Source;

/** Five trips worked by hand, how a list is scaled, and how own records and a setting's rate become one rate. */
final class ParTest extends TestCase
{
    /** @return iterable<string, array{int, int, array<string, array{string, int, string, bool, int, string}>}> people, days, and by item: rate, listed, per, critical, par, from */
    public static function trips(): iterable
    {
        // Every list here is made for 6 people and 14 days, 84 person-days; confidence 0.95.
        yield 'a day walk of 8 people' => [8, 1, [
            'tourniquet' => ['0.02', 1, 'trip', true, 1, 'list'],
            // 20 a 1,000 person-days: a mean of 0.16; one use is enough in 99 of 100. The list: 24 × 8 ÷ 84 is 2.29, so 3.
            'plaster' => ['20', 24, 'person_days', false, 3, 'list'],
            // Gloves grow with people: 12 × 8 ÷ 6 is 16.
            'gloves' => ['5', 12, 'people', true, 16, 'list'],
        ]];
        yield 'a school trip of 32 for 2 days' => [32, 2, [
            'tourniquet' => ['0.02', 1, 'trip', true, 1, 'list'],
            // 150 a 1,000 over 64 person-days: a mean of 9.6; at most 15 in 96 of 100, 14 in 93. The list: 24 × 64 ÷ 84 is 18.3.
            'plaster' => ['150', 24, 'person_days', false, 19, 'list'],
            'sick-bag' => ['60', 2, 'people', false, 11, 'list'],
        ]];
        yield 'a crew of 6 away for two weeks' => [6, 14, [
            'tourniquet' => ['0.02', 2, 'trip', true, 2, 'list'],
            // A mean of 33.6: 43 is enough with 0.95, more than the 24 of the list.
            'plaster' => ['400', 24, 'person_days', false, 43, 'uses'],
            'mask' => ['0.03', 1, 'trip', true, 1, 'list'],
        ]];
        yield 'a sports season of 20 players and 90 days' => [20, 90, [
            // A mean of 3.6: 7 is enough (0.969), 6 is not (0.927). The list of two packs grows by 1800 ÷ 84 to 43.
            'cold-pack' => ['2', 2, 'person_days', false, 43, 'list'],
            'collar' => ['0', 1, 'trip', true, 1, 'list'],
        ]];
        yield 'an expedition of 2 for 1 day, far below its list' => [2, 1, [
            'tourniquet' => ['0.02', 2, 'trip', true, 2, 'list'],
            'gauze' => ['1', 10, 'person_days', true, 10, 'list'],
            'plaster' => ['9', 24, 'person_days', false, 1, 'list'],
        ]];
    }

    /** @param  array<string, array{string, int, string, bool, int, string}>  $rows */
    #[DataProvider('trips')]
    public function test_a_trip_carries_what_its_list_and_its_uses_ask_for(int $people, int $days, array $rows): void
    {
        foreach ($rows as $item => [$rate, $quantity, $per, $isCritical, $par, $from]) {
            $listed = new ListedQuantity($quantity, Per::from($per), 6, 14, $isCritical);
            $carried = Carried::of($item, BigRational::of('0.95'), $people, $days, BigRational::of($rate), 1, 0, $listed);
            $this->assertSame([$par, $from], [$carried->par, $carried->from->value], $item);
            $this->assertTrue(! $isCritical || $carried->par >= $quantity, "{$item} is critical and never below its list.");
        }
    }

    public function test_nothing_is_carried_below_the_list_or_its_share_of_the_trip(): void
    {
        mt_srand(20261202);
        for ($round = 0; $round < 400; $round++) {
            [$quantity, $people, $days, $own, $away] = [mt_rand(1, 60), mt_rand(1, 40), mt_rand(1, 40), mt_rand(1, 40), mt_rand(1, 40)];
            foreach (Per::cases() as $per) {
                $share = match ($per) {
                    Per::Trip => [1, 1],
                    Per::People => [$own, $people],
                    Per::PersonDays => [$own * $away, $people * $days],
                };
                $scaled = (new ListedQuantity($quantity, $per, $people, $days))->scaledTo($own, $away);
                $this->assertSame(intdiv($quantity * $share[0] + $share[1] - 1, $share[1]), $scaled);
                $critical = (new ListedQuantity($quantity, $per, $people, $days, true))->scaledTo($own, $away);
                $this->assertSame(max($quantity, $scaled), $critical);
                $carried = Carried::of('item', BigRational::of('0.9'), $own, $away, BigRational::of(mt_rand(0, 30)), mt_rand(1, 3), mt_rand(0, 5),
                    new ListedQuantity($quantity, $per, $people, $days));
                $this->assertGreaterThanOrEqual($scaled, $carried->par);
            }
        }
    }

    public function test_without_a_list_uses_or_the_own_floor_decide(): void
    {
        $of = static fn (string $rate, int $floor): Carried => Carried::of('a', BigRational::of('0.95'), 12, 7, BigRational::of($rate), 2, $floor);
        $this->assertSame([0, 14, Source::Uses], [$of('40', 0)->list, $of('40', 0)->par, $of('40', 0)->from]);
        $this->assertSame([20, Source::Floor], [$of('40', 20)->par, $of('40', 20)->from]);
    }

    public function test_own_records_weigh_as_much_as_their_person_days(): void
    {
        $rate = static fn (int $uses, int $personDays): string => (string) (new BlendedRate(BigRational::of('9'), 1000, $uses, $personDays))->per1000PersonDays();
        $this->assertSame('9', $rate(0, 0), 'Nothing on record: the rate of the setting.');
        // (9 × 1000 + 30 × 1000) ÷ (1000 + 1000) is 19.5: half of each.
        $this->assertSame('39/2', $rate(30, 1000));
        // (9 × 1000 + 12 × 1000) ÷ (1000 + 500) is 14.
        $this->assertSame('14', $rate(12, 500));
        $this->assertSame('1/3', (string) (new BlendedRate(BigRational::of('9'), 1000, 12, 500))->ownShare());
        // A long record without a use pulls the rate down, and never to nothing.
        $this->assertSame('9/11', $rate(0, 10_000));
    }
}
