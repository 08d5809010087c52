<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\Accepted;
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
        $looked = DB::table('looked_for')->where('design_edition_id', $editionId)->orderBy('id')->get()->groupBy('pocket_id');
        foreach ($compartments as $one) {
            $one->looked_for = array_values(array_map(strval(...), $looked->get($one->pocket_id)?->pluck('line_code')->all() ?? []));
        }
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
            self::keptList($edition, $edition->list_edition),
            $this->excluded($edition->list_id),
            $lines,
            $pockets,
            $leaves,
            $this->catalogue->items($named),
            array_values($compartments->where('kind', 'slot')->reject(static fn (stdClass $one): bool => in_array($one->pocket_id, $offSlots, true))
                ->map(static fn (stdClass $one): PlanSlot => new PlanSlot(
                    $one->pocket_id, $one->name, $one->slot_design_id, $one->slot_design,
                ))->all()),
            isEmptyMassKnown: $edition->empty_mass_g !== null,
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
    public static function leaves(Collection $compartments): array
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
        return new PlanPocket($one->pocket_id, $name, $leaf, $row, (int) $one->column, (int) $one->row_span, (int) $one->column_span,
            $one->caution, $one->properties === '' ? [] : explode(',', $one->properties), $one->looked_for);
    }

    private function policy(stdClass $edition): CheckPolicy
    {
        return new CheckPolicy(
            ExpiryPolicy::from($edition->expiry),
            (int) $edition->margin_days,
            (int) $edition->grace_days,
            CheckPolicy::interval($edition->every_unit, $edition->every_count === null ? null : (int) $edition->every_count),
            array_values(DB::table('design_seasons')->where('design_edition_id', $edition->id)->orderBy('month_day')->pluck('month_day')
                ->map(SeasonDay::of(...))->all()),
            (bool) $edition->before_events,
            (bool) $edition->after_use,
            (bool) $edition->sealed,
            $edition->not_ready_after_days === null ? null : (int) $edition->not_ready_after_days,
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
        $placements = DB::table('placements')->where('design_edition_id', $edition->id)->orderBy('position')->get();
        // Asked only where something waits: most plans are read without.
        $begun = $placements->contains(static fn (stdClass $one): bool => $one->waits_for !== null) ? self::begun($edition->design_id) : [];

        return [PlanLines::of($rows, $entries, $placements, $pockets, $begun), $named];
    }

    /** @return array<array-key, string> the day on which what a line of the design waits for began, by its code */
    public static function begun(string $designId): array
    {
        return array_map(strval(...), DB::table('line_switches')->where('design_id', $designId)->whereNull('ended_on')->orderBy('id')
            ->pluck('on_day', 'line_code')->all());
    }

    /** @param  stdClass  $list  a row of the table, whatever of it was read */
    public static function keptList(stdClass $list, string $edition): KeptList
    {
        return new KeptList(
            $list->list_id ?? $list->id, $list->list_code ?? $list->code, $list->title, $list->size, $edition, $list->basis, $list->origin,
            $list->confirmed_at !== null,
        );
    }

    /** @return list<ItemClass> the excluded classes of a list */
    public function excluded(string $listId): array
    {
        return array_values(DB::table('list_exclusions')->where('list_id', $listId)->orderBy('id')->pluck('class')
            ->map(static fn (string $class): ItemClass => new ItemClass($class))->all());
    }

    /**
     * @param  array<array-key, mixed>  $lines  ids
     * @return array{array<string, list<Accepted>>, list<string>} what each line accepts, and the codes of items that they name
     */
    public function entries(array $lines): array
    {
        $read = [];
        $entries = [];
        $named = [];
        $limits = DB::table('line_entry_limits')->join('line_entries', 'line_entries.id', '=', 'line_entry_limits.line_entry_id')
            ->whereIn('line_entries.line_id', $lines)->orderBy('line_entry_limits.id')->get(['line_entry_limits.*']);
        foreach ($limits as $limit) {
            $read[$limit->line_entry_id][$limit->is_maximum ? 'max' : 'min'][$limit->measure] = Quantity::of($limit->quantity);
        }
        $accepted = DB::table('line_entries')->leftJoin('items', 'items.id', '=', 'line_entries.item_id')
            ->whereIn('line_entries.line_id', $lines)->orderBy('line_entries.position')->get(['line_entries.*', 'items.code']);
        foreach ($accepted as $entry) {
            if ($entry->code !== null) {
                $named[] = $entry->code;
                $entries[$entry->line_id][] = Accepted::item($entry->code);
            } else {
                $entries[$entry->line_id][] = Accepted::class($entry->class, $read[$entry->id]['min'] ?? [], $read[$entry->id]['max'] ?? []);
            }
        }

        return [$entries, array_values(array_unique($named))];
    }
}
