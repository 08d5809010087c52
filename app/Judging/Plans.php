<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Facades\DB;

/** Reads designs as plans and remembers them for the request. */
final class Plans
{
    /** @var array<string, Plan> by design id */
    private array $plans = [];

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function of(string $designId): Plan
    {
        return $this->plans[$designId] ??= $this->read($designId);
    }

    private function read(string $designId): Plan
    {
        /** @var \stdClass $design */
        $design = DB::table('designs')->join('lists', 'lists.id', '=', 'designs.list_id')->where('designs.id', $designId)
            ->first(['designs.*', 'lists.code as list_code', 'lists.title', 'lists.size', 'lists.edition', 'lists.basis', 'lists.origin', 'lists.confirmed_at']);
        $leaves = [];
        $pockets = [];
        $all = DB::table('leaves')->join('pockets', 'pockets.leaf_id', '=', 'leaves.id')->where('leaves.design_id', $designId)
            ->orderBy('leaves.position')->orderBy('pockets.row')->orderBy('pockets.column')
            ->get(['pockets.*', 'leaves.name as leaf', 'leaves.position']);
        foreach ($all as $pocket) {
            $pockets[$pocket->id] = ['name' => $pocket->name, 'leaf' => $pocket->leaf];
            $leaves[$pocket->position]['name'] = $pocket->leaf;
            $leaves[$pocket->position]['pockets'][] = [
                'id' => $pocket->id, 'name' => $pocket->name, 'row' => (int) $pocket->row, 'column' => (int) $pocket->column,
                'row_span' => (int) $pocket->row_span, 'column_span' => (int) $pocket->column_span,
            ];
        }
        [$lines, $named] = $this->lines($designId, $design->list_id);

        return new Plan(
            $designId, $design->code, $design->name, (int) $design->empty_mass_g,
            $design->max_mass_g === null ? null : (int) $design->max_mass_g,
            [
                'expiry' => $design->expiry,
                'margin_days' => (int) $design->margin_days,
                'grace_days' => (int) $design->grace_days,
                'every' => $design->every_unit === null ? null : [$design->every_unit, (int) $design->every_count],
                'before_events' => (bool) $design->before_events,
                'after_use' => (bool) $design->after_use,
                'sealed' => (bool) $design->sealed,
            ],
            DB::table('design_seasons')->where('design_id', $designId)->orderBy('month_day')->pluck('month_day')->all(),
            [
                'id' => $design->list_id, 'code' => $design->list_code, 'title' => $design->title, 'size' => $design->size,
                'edition' => $design->edition, 'basis' => $design->basis, 'origin' => $design->origin, 'confirmed' => $design->confirmed_at !== null,
            ],
            DB::table('list_exclusions')->where('list_id', $design->list_id)->orderBy('id')->pluck('class')->all(),
            $lines,
            $pockets,
            array_values($leaves),
            $this->catalogue->documents($named),
        );
    }

    /** @return array{list<PlanLine>, list<string>} the lines, and the codes of items that they name */
    private function lines(string $designId, string $listId): array
    {
        $rows = DB::table('lines')
            ->leftJoin('line_homes', fn ($join) => $join->on('line_homes.line_id', '=', 'lines.id')->where('line_homes.design_id', $designId))
            ->where('lines.list_id', $listId)->orWhere('lines.design_id', $designId)
            ->orderByRaw('lines.design_id IS NOT NULL')->orderBy('lines.position')
            ->get(['lines.*', 'line_homes.pocket_id', 'line_homes.position as place']);
        $minima = [];
        $entries = [];
        $named = [];
        $ids = $rows->pluck('id')->all();
        $least = DB::table('line_entry_minima')->join('line_entries', 'line_entries.id', '=', 'line_entry_minima.line_entry_id')
            ->whereIn('line_entries.line_id', $ids)->orderBy('line_entry_minima.id')->get(['line_entry_minima.*']);
        foreach ($least as $minimum) {
            $minima[$minimum->line_entry_id][$minimum->measure] = $minimum->quantity;
        }
        $accepted = DB::table('line_entries')->leftJoin('items', 'items.id', '=', 'line_entries.item_id')
            ->whereIn('line_entries.line_id', $ids)->orderBy('line_entries.position')->get(['line_entries.*', 'items.code']);
        foreach ($accepted as $entry) {
            if ($entry->code !== null) {
                $named[] = $entry->code;
                $entries[$entry->line_id][] = ['item' => $entry->code];
            } else {
                $entries[$entry->line_id][] = ['class' => $entry->class, ...(isset($minima[$entry->id]) ? ['min' => $minima[$entry->id]] : [])];
            }
        }
        $lines = [];
        foreach ($rows->sortBy('place') as $line) {
            $lines[] = new PlanLine(
                $line->id, $line->code, $line->need, $line->rank,
                $line->quantity === null ? null : (int) $line->quantity,
                $line->total_measure === null ? null : [$line->total_measure => $line->total_quantity],
                $entries[$line->id] ?? [],
                $line->pocket_id,
                $line->reason,
            );
        }

        return [$lines, array_values(array_unique($named))];
    }
}
