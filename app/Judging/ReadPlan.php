<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Due\Interval;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Lists\Total;
use Sarcina\Core\Measure\Quantity;
use stdClass;

/** Reads one edition of a design as a plan. */
final class ReadPlan
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function __invoke(string $editionId, ?string $configurationId): KitPlan
    {
        /** @var stdClass $edition */
        $edition = DB::table('design_editions')->join('designs', 'designs.id', '=', 'design_editions.design_id')
            ->join('lists', 'lists.id', '=', 'design_editions.list_id')->where('design_editions.id', $editionId)
            ->first([
                'design_editions.*', 'designs.code', 'designs.name', 'lists.code as list_code', 'lists.title', 'lists.size',
                'lists.edition as list_edition', 'lists.basis', 'lists.origin', 'lists.confirmed_at',
            ]);
        $compartments = DB::table('compartments')->leftJoin('designs', 'designs.id', '=', 'compartments.slot_design_id')
            ->where('design_edition_id', $editionId)->orderBy('position')->orderBy('row')->orderBy('column')
            ->get(['compartments.*', 'designs.name as slot_design']);
        [$offLines, $offSlots] = $this->switchedOff($editionId, $configurationId);
        $leaves = self::leaves($compartments);
        $pockets = [];
        foreach ($leaves as $leaf) {
            $pockets += array_combine(array_map(static fn (PlanPocket $pocket): string => $pocket->id, $leaf->pockets), $leaf->pockets);
        }
        [$lines, $named] = $this->lines($edition, $pockets, $offLines);

        return new KitPlan(
            $editionId, (int) $edition->number, $edition->design_id, $edition->code, $edition->name, (int) $edition->empty_mass_g,
            $edition->max_mass_g === null ? null : (int) $edition->max_mass_g,
            $this->policy($edition),
            new KeptList(
                $edition->list_id, $edition->list_code, $edition->title, $edition->size, $edition->list_edition, $edition->basis,
                $edition->origin, $edition->confirmed_at !== null,
            ),
            array_values(DB::table('list_exclusions')->where('list_id', $edition->list_id)->orderBy('id')->pluck('class')
                ->map(static fn (string $class): ItemClass => new ItemClass($class))->all()),
            $lines,
            $pockets,
            $leaves,
            $this->catalogue->items($named),
            array_values($compartments->where('kind', 'slot')->reject(static fn (stdClass $one): bool => in_array($one->pocket_id, $offSlots, true))
                ->map(static fn (stdClass $one): PlanSlot => new PlanSlot(
                    $one->pocket_id, $one->name, $one->slot_design_id, $one->slot_design,
                ))->all()),
        );
    }

    /**
     * What stands in a configuration is asked for only in kits that are set to it.
     *
     * @return array{list<string>, list<string>} codes of lines and ids of slots
     */
    private function switchedOff(string $editionId, ?string $configurationId): array
    {
        $parts = DB::table('configuration_parts')->join('configurations', 'configurations.id', '=', 'configuration_parts.configuration_id')
            ->where('configurations.design_edition_id', $editionId)->get(['configuration_id', 'line_code', 'slot_id']);
        $on = $parts->where('configuration_id', $configurationId);
        $off = static fn (string $column): array => array_values(array_diff(
            $parts->pluck($column)->filter()->all(),
            $on->pluck($column)->filter()->all(),
        ));

        return [$off('line_code'), $off('slot_id')];
    }

    /**
     * Each leaf with its pockets; what lies inside a pocket stands below it.
     *
     * @param  Collection<int, stdClass>  $compartments
     * @return list<PlanLeaf>
     */
    private static function leaves(Collection $compartments): array
    {
        $inside = $compartments->where('kind', '!=', 'slot')->groupBy('parent_id');
        $leaves = [];
        foreach ($compartments->where('kind', 'leaf') as $leaf) {
            $pockets = [];
            $row = (int) ($inside->get($leaf->pocket_id)?->max('row') ?? 0);
            foreach ($inside->get($leaf->pocket_id) ?? [] as $one) {
                $pockets[] = self::pocket($one, $one->name, $leaf->name, (int) $one->row);
                foreach ($inside->get($one->pocket_id) ?? [] as $inner) {
                    $pockets[] = self::pocket($inner, "{$one->name}, {$inner->name}", $leaf->name, ++$row);
                }
            }
            if ($pockets !== []) {
                $leaves[] = new PlanLeaf($leaf->name, $pockets);
            }
        }

        return $leaves;
    }

    private static function pocket(stdClass $one, string $name, string $leaf, int $row): PlanPocket
    {
        return new PlanPocket($one->pocket_id, $name, $leaf, $row, (int) $one->column, (int) $one->row_span, (int) $one->column_span);
    }

    private function policy(stdClass $edition): CheckPolicy
    {
        return new CheckPolicy(
            ExpiryPolicy::from($edition->expiry),
            (int) $edition->margin_days,
            (int) $edition->grace_days,
            match ($edition->every_unit) {
                'months' => Interval::months((int) $edition->every_count),
                'weeks' => Interval::weeks((int) $edition->every_count),
                'days' => Interval::days((int) $edition->every_count),
                default => null,
            },
            array_values(DB::table('design_seasons')->where('design_edition_id', $edition->id)->orderBy('month_day')->pluck('month_day')
                ->map(SeasonDay::of(...))->all()),
            (bool) $edition->before_events,
            (bool) $edition->after_use,
            (bool) $edition->sealed,
        );
    }

    /**
     * @param  array<string, PlanPocket>  $pockets
     * @param  list<string>  $off  codes of lines that are not asked for
     * @return array{list<KitPlanLine>, list<string>} the lines in the order of their places, and the codes of items that they name
     */
    private function lines(stdClass $edition, array $pockets, array $off): array
    {
        $rows = DB::table('lines')->where('list_id', $edition->list_id)->orWhere('design_edition_id', $edition->id)
            ->orderByRaw('design_edition_id IS NOT NULL')->orderBy('position')->get()
            ->reject(static fn (stdClass $line): bool => in_array($line->code, $off, true));
        [$entries, $named] = $this->entries($rows->pluck('id')->all());
        $places = DB::table('placements')->where('design_edition_id', $edition->id)->orderBy('position')->get()
            ->filter(static fn (stdClass $place): bool => isset($pockets[$place->pocket_id]))->groupBy('line_code');
        $lines = [];
        // A line that the edition does not place stands beside the line before it: nothing is asked for without a pocket.
        [$pocket, $order] = [array_key_first($pockets), 0];
        foreach ($rows as $index => $line) {
            $place = $places->get($line->code)?->first();
            [$pocket, $order] = $place === null ? [$pocket, $order] : [$place->pocket_id, (int) $place->position];
            $lines[] = [$order, $index, new KitPlanLine(
                $line->id,
                self::asked($line, $entries[$line->id] ?? []),
                $line->need,
                $pocket,
                $line->reason,
                $line->list_id,
                $place?->from_day === null ? null : Day::of($place->from_day),
            )];
        }
        usort($lines, static fn (array $one, array $other): int => [$one[0], $one[1]] <=> [$other[0], $other[1]]);

        return [array_map(static fn (array $one): KitPlanLine => $one[2], $lines), $named];
    }

    /**
     * @param  array<array-key, mixed>  $lines  ids
     * @return array{array<string, list<Accepted>>, list<string>} what each line accepts, and the codes of items that they name
     */
    private function entries(array $lines): array
    {
        $minima = [];
        $entries = [];
        $named = [];
        $least = DB::table('line_entry_minima')->join('line_entries', 'line_entries.id', '=', 'line_entry_minima.line_entry_id')
            ->whereIn('line_entries.line_id', $lines)->orderBy('line_entry_minima.id')->get(['line_entry_minima.*']);
        foreach ($least as $minimum) {
            $minima[$minimum->line_entry_id][$minimum->measure] = Quantity::of($minimum->quantity);
        }
        $accepted = DB::table('line_entries')->leftJoin('items', 'items.id', '=', 'line_entries.item_id')
            ->whereIn('line_entries.line_id', $lines)->orderBy('line_entries.position')->get(['line_entries.*', 'items.code']);
        foreach ($accepted as $entry) {
            if ($entry->code !== null) {
                $named[] = $entry->code;
                $entries[$entry->line_id][] = Accepted::item($entry->code);
            } else {
                $entries[$entry->line_id][] = Accepted::class($entry->class, $minima[$entry->id] ?? []);
            }
        }

        return [$entries, array_values(array_unique($named))];
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
