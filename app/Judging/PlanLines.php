<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Collection;
use LogicException;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Lists\Total;
use Sarcina\Core\Measure\Quantity;
use stdClass;

/** The lines of a plan, each where it lives: of an edition as it was published, or as somebody packs it. */
final class PlanLines
{
    /**
     * @param  Collection<int, stdClass>  $rows  of the list and the additions, in their order
     * @param  array<array-key, list<Accepted>>  $entries  what each accepts, by its id
     * @param  Collection<int, stdClass>  $placements  in their order
     * @param  array<string, PlanPocket>  $pockets
     * @param  array<array-key, string>  $begun  the day on which what a line waits for began, by its code
     * @return list<KitPlanLine> in the order of their places
     */
    public static function of(Collection $rows, array $entries, Collection $placements, array $pockets, array $begun): array
    {
        $places = $placements->filter(static fn (stdClass $place): bool => isset($pockets[$place->pocket_id]))->groupBy('line_code');
        $lines = [];
        // A line that the edition does not place stands beside the line before it: nothing is asked for without a pocket.
        [$pocket, $order] = [array_key_first($pockets), 0];
        foreach ($rows as $index => $line) {
            $all = $places->get($line->code) ?? new Collection;
            $place = $all->first();
            [$pocket, $order] = $place === null ? [$pocket, $order] : [$place->pocket_id, (int) $place->position];
            $began = $place?->waits_for === null ? null : $begun[$line->code] ?? null;
            $from = $began ?? $place?->from_day;
            $lines[] = [$order, $index, new KitPlanLine(
                $line->id,
                self::asked($line, $entries[$line->id] ?? []),
                $line->need,
                $pocket,
                $line->reason,
                $line->list_id,
                $from === null ? null : Day::of($from),
                $began === null ? $place?->waits_for : null,
                $all->count() < 2 ? [] : array_values($all->map(
                    static fn (stdClass $one): PlanShare => new PlanShare($one->pocket_id, (int) $one->quantity),
                )->all()),
            )];
        }
        usort($lines, static fn (array $one, array $other): int => [$one[0], $one[1]] <=> [$other[0], $other[1]]);

        return array_map(static fn (array $one): KitPlanLine => $one[2], $lines);
    }

    /** @param  list<Accepted>  $accepts */
    private static function asked(stdClass $line, array $accepts): Line
    {
        if ($accepts === []) {
            throw new LogicException("The line {$line->need} ({$line->code}) accepts nothing: no list is saved so.");
        }
        $rank = Rank::from($line->rank);

        return $line->total_quantity === null
            ? Line::counted($line->code, $rank, $accepts, (int) $line->quantity, (bool) $line->anyone_may_use)
            : Line::totalled(
                $line->code, $rank, $accepts, new Total($line->total_measure, Quantity::of($line->total_quantity)), (bool) $line->anyone_may_use,
            );
    }
}
