<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Measure\NotAQuantity;
use Sarcina\Core\Measure\Quantity;
use Sarcina\Core\Measure\Unit;

final class MeasureTest extends TestCase
{
    public function test_a_measure_is_shown_in_another_unit_of_its_dimension(): void
    {
        $this->assertSame('4.7244 in', (string) Quantity::of('12 cm')->as(Unit::Inch));
        $this->assertSame('12 cm', (string) Quantity::of('12 cm')->as(Unit::Inch)->as(Unit::Centimetre), 'There and back nothing is lost.');
        $this->assertSame('0.5072 floz', (string) Quantity::of('15 ml')->as(Unit::FluidOunce));
        $this->assertSame('12 cm', (string) Quantity::of('12 cm')->as(Unit::Gram), 'A length is no mass.');
    }

    /** @return list<array{string, string, bool}> */
    public static function comparisons(): array
    {
        return [
            ['1 in', '25.4 mm', true],
            ['25.4 mm', '1 in', true],
            ['25.3999999999 mm', '1 in', false],
            ['3 ft', '1 yd', true],
            ['91.44 cm', '1 yd', true],
            ['1 floz', '29.5735295625 ml', true],
            ['29.5735295624 ml', '1 floz', false],
            ['16 oz', '1 lb', true],
            ['453.59237 g', '1 lb', true],
            ['453.592369999999 g', '1 lb', false],
            ['12 g', '12 mm', false],
            ['0.1 m', '10 cm', true],
            ['25.4000000001 mm', '1 in', true],
            ['1 in', '25.4000000001 mm', false],
            ['0.00000001 mm', '0.00000002 mm', false],
        ];
    }

    #[DataProvider('comparisons')]
    public function test_units_compare_exactly(string $one, string $other, bool $isAtLeast): void
    {
        $this->assertSame($isAtLeast, Quantity::of($one)->isAtLeast(Quantity::of($other)));
    }

    public function test_every_unit_is_as_long_as_large_or_as_heavy_as_it_is_defined(): void
    {
        $same = [
            ['1 cm', '10 mm'], ['1 m', '1000 mm'], ['1 in', '25.4 mm'], ['1 ft', '12 in'], ['1 ft', '304.8 mm'], ['1 yd', '3 ft'], ['1 yd', '914.4 mm'],
            ['1 l', '1000 ml'], ['1 floz', '29.5735295625 ml'], ['1 g', '1000 mg'], ['1 kg', '1000 g'], ['1 oz', '28.349523125 g'], ['1 lb', '16 oz'], ['1 lb', '453.59237 g'],
            ['1 mm', '1 mm'], ['1000 ml', '1 l'],
        ];
        foreach ($same as [$one, $other]) {
            [$one, $other] = [Quantity::of($one), Quantity::of($other)];
            $this->assertTrue($one->isAtLeast($other) && $other->isAtLeast($one), "{$one->text} is not {$other->text}.");
            $this->assertSame(1, $one->piecesFor($other));
            $this->assertFalse($one->lessWhatIsThere($other)->isPositive());
        }
        $this->assertSame('1000000 mm', (string) Quantity::of('1000 m')->as(Unit::Millimetre));
        $this->assertSame('1000 mg', (string) Quantity::of('1 g')->as(Unit::Milligram));
    }

    public function test_it_is_printed_to_four_places(): void
    {
        $sum = Quantity::zero(Quantity::of('1 yd')->unit);
        $this->assertSame('0 yd', (string) $sum);
        $this->assertSame('0.1094 yd', (string) $sum->plus(Quantity::of('10 cm')));
        $this->assertSame('10 yd', (string) $sum->plus(Quantity::of('4.572 m'), 2));
        $this->assertSame('0.0001 m', (string) Quantity::zero(Quantity::of('1 m')->unit)->plus(Quantity::of('0.05 mm')));
    }

    public function test_the_fewest_pieces_come_up_to_what_is_wanted(): void
    {
        $this->assertSame(3, Quantity::of('1 m')->piecesFor(Quantity::of('2.000000001 m')));
        $this->assertSame(2, Quantity::of('114.3 cm')->piecesFor(Quantity::of('2.5 yd')));
    }

    public function test_what_is_no_quantity_is_refused(): void
    {
        foreach (['12', '12cm', '12  cm', ' 12 cm', '1,5 cm', '.5 cm', '-1 cm', '12 CM', "12 cm\n", '1e3 mm'] as $text) {
            try {
                Quantity::of($text);
                $this->fail("\"{$text}\" was taken.");
            } catch (NotAQuantity $refused) {
                $this->assertStringContainsString(trim($text), $refused->getMessage());
            }
        }
    }

    public function test_every_day_of_four_centuries_is_written_and_read_alike(): void
    {
        $day = Day::of('1896-12-25');
        $expected = new \DateTimeImmutable('1896-12-25');
        for ($count = 0; $count < 147_000; $count += 13) {
            $this->assertSame($expected->modify("+{$count} days")->format('Y-m-d'), (string) $day->plusDays($count));
        }
        $this->assertSame(0, Day::of('1970-01-01')->number);
        $this->assertSame('0001-01-01', (string) Day::of('0001-01-01'));
    }

    public function test_months_are_clamped(): void
    {
        $this->assertSame('2028-02-29', (string) Day::of('2027-12-31')->plusMonths(2));
        $this->assertSame('2027-01-31', (string) Day::of('2026-12-31')->plusMonths(1));
        $this->assertSame('2100-02-28', (string) PrintedDate::of('2100-02')->lastGoodDay);
    }

    public function test_what_is_no_date_is_refused(): void
    {
        foreach (['2027-00', '2027-3', '27-03', '2027-03-32', '2027-02-29', '0000-01', '2027-03-01 ', "2027-03\n", ''] as $text) {
            try {
                PrintedDate::of($text);
                $this->fail("\"{$text}\" was taken.");
            } catch (NotADay $refused) {
                $this->assertNotSame('', $refused->getMessage());
            }
        }
    }
}
