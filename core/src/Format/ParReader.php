<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Sarcina\Core\Par\Carried;
use Sarcina\Core\Par\ListedQuantity;
use Sarcina\Core\Par\Per;

/** Reads a `sarcina.par/1` document and writes its answer, `sarcina.par-levels/1` (rules.md, par). */
final class ParReader
{
    public const FORMAT = 'sarcina.par/1';

    public const ANSWER = 'sarcina.par-levels/1';

    /** More uses than that are no question of what to carry; it keeps the work within seconds. */
    private const MOST_USES = 1_000_000;

    /**
     * @return list<Carried>
     *
     * @throws InvalidDocument with every error that was found and its path
     */
    public static function read(mixed $document): array
    {
        $root = Reader::of($document)->object(['format', 'confidence', 'people', 'days', 'rows']);
        $root->field('format')->format(self::FORMAT);
        $confidence = $root->field('confidence')->decimal();
        if ($root->field('confidence')->isGiven() && ($confidence->isZero() || $confidence->isGreaterThanOrEqualTo(1))) {
            $root->field('confidence')->refuse('The confidence is above 0 and below 1, such as "0.95".');
        }
        [$people, $days] = [$root->field('people')->wholeNumber(0), $root->field('days')->wholeNumber(0)];
        $rows = [];
        $seen = [];
        foreach ($root->field('rows')->entries() as $row) {
            $row->object(['item', 'per_1000_person_days', 'pieces_per_use'], ['floor', 'list']);
            $rate = $row->field('per_1000_person_days')->decimal();
            if ($rate->multipliedBy($people)->multipliedBy($days)->isGreaterThan(1000 * self::MOST_USES)) {
                $row->field('per_1000_person_days')->refuse('That is more than '.self::MOST_USES.' uses.');
            }
            $rows[] = [
                $row->field('item')->textOnce($seen), $rate, $row->field('pieces_per_use')->wholeNumber(1),
                $row->field('floor')->wholeNumber(0), self::listed($row->field('list')),
            ];
        }
        $root->finish();

        return array_map(
            static fn (array $row): Carried => Carried::of($row[0], $confidence, $people, $days, $row[1], $row[2], $row[3], $row[4]), $rows,
        );
    }

    private static function listed(Reader $list): ?ListedQuantity
    {
        if ($list->isNull() || ! $list->object(['quantity', 'per', 'people', 'days'], ['critical'])->isObject()) {
            return null;
        }

        return new ListedQuantity(
            $list->field('quantity')->wholeNumber(1), $list->field('per')->choice(Per::Trip), $list->field('people')->wholeNumber(1),
            $list->field('days')->wholeNumber(1), $list->field('critical')->flag(false),
        );
    }

    /**
     * @param  list<Carried>  $rows
     * @return array{format: string, rows: list<array<string, mixed>>}
     */
    public static function answer(array $rows): array
    {
        return ['format' => self::ANSWER, 'rows' => array_map(static fn (Carried $row): array => [
            'item' => $row->item,
            'mean' => self::rounded($row->mean),
            'uses' => $row->uses,
            'list' => $row->list,
            'par' => $row->par,
            'from' => $row->from->value,
        ], $rows)];
    }

    private static function rounded(BigRational $mean): string
    {
        return (string) $mean->toScale(4, RoundingMode::HALF_UP);
    }
}
