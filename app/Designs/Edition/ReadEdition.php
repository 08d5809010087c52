<?php

declare(strict_types=1);

namespace App\Designs\Edition;

use App\Designs\Models\DesignEdition;
use App\Lists\LineContent;
use App\Lists\Models\Line;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** An edition of a design as it was written. */
final class ReadEdition
{
    public function __invoke(DesignEdition $edition): EditionContent
    {
        $edition->loadMissing(['additions.entries.item', 'additions.entries.limits', 'seasons', 'modules']);
        $rows = DB::table('compartments')->leftJoin('designs', 'designs.id', '=', 'compartments.slot_design_id')
            ->where('design_edition_id', $edition->id)->orderBy('position')->orderBy('row')->orderBy('column')
            ->get(['compartments.*', 'designs.code as slot_design'])->groupBy('parent_id');
        $lines = DB::table('placements')->where('design_edition_id', $edition->id)->orderBy('position')->get()->groupBy('pocket_id');

        $looked = DB::table('looked_for')->where('design_edition_id', $edition->id)->orderBy('id')->get()->groupBy('pocket_id');
        /** @var array<string, string> $setAside */
        $setAside = DB::table('set_aside')->where('design_edition_id', $edition->id)->orderBy('id')->pluck('reason', 'subject')->all();

        return new EditionContent(
            $edition->list_id,
            EditionPolicy::of($edition),
            array_values($edition->additions->map(static fn (Line $line): LineContent => LineContent::of($line))->all()),
            array_values($edition->modules->pluck('module')->all()),
            array_values($edition->seasons->pluck('month_day')->all()),
            self::inside('', $rows, $lines, $looked),
            $this->configurations($edition),
            $setAside,
        );
    }

    /**
     * @param  Collection<array-key, Collection<int, stdClass>>  $rows  by what they lie in
     * @param  Collection<array-key, Collection<int, stdClass>>  $lines  by compartment
     * @param  Collection<array-key, Collection<int, stdClass>>  $looked  by compartment
     * @return list<CompartmentContent>
     */
    private static function inside(string $parent, Collection $rows, Collection $lines, Collection $looked): array
    {
        $here = $rows->get($parent) ?? new Collection;

        return array_values($here->map(static fn (stdClass $row): CompartmentContent => new CompartmentContent(
            $row->kind, $row->name, $row->pocket_id, (int) $row->row, (int) $row->column, (int) $row->row_span, (int) $row->column_span,
            $row->closure, (bool) $row->is_outside, (bool) $row->is_sealed, $row->caution,
            $row->properties === '' ? [] : explode(',', $row->properties), $row->slot_design,
            array_values(($lines->get($row->pocket_id) ?? new Collection)->map(static fn (stdClass $line): PlacedLine => new PlacedLine(
                $line->line_code, $line->quantity === null ? null : (int) $line->quantity, $line->from_day,
                $line->waits_for,
            ))->all()),
            self::inside($row->pocket_id, $rows, $lines, $looked),
            $row->max_mass_g === null ? null : (int) $row->max_mass_g, $row->volume_ml === null ? null : (int) $row->volume_ml,
            array_values(array_map(strval(...), $looked->get($row->pocket_id)?->pluck('line_code')->all() ?? [])),
        ))->all());
    }

    /** @return list<ConfigurationContent> */
    private function configurations(DesignEdition $edition): array
    {
        $parts = DB::table('configuration_parts')
            ->join('configurations', 'configurations.id', '=', 'configuration_parts.configuration_id')
            ->leftJoin('compartments as slots', fn ($join) => $join->on('slots.pocket_id', '=', 'configuration_parts.slot_id')
                ->whereColumn('slots.design_edition_id', 'configurations.design_edition_id'))
            ->leftJoin('compartments as leaves', fn ($join) => $join->on('leaves.pocket_id', '=', 'slots.parent_id')
                ->whereColumn('leaves.design_edition_id', 'configurations.design_edition_id'))
            ->where('configurations.design_edition_id', $edition->id)->orderBy('configuration_parts.id')
            ->get(['configuration_id', 'line_code', 'slots.name as slot', 'leaves.name as leaf'])->groupBy('configuration_id');

        return array_values(DB::table('configurations')->where('design_edition_id', $edition->id)->orderBy('name')->get()
            ->map(static function (stdClass $one) use ($parts): ConfigurationContent {
                $of = $parts->get($one->id) ?? new Collection;

                return new ConfigurationContent(
                    $one->name,
                    array_values($of->pluck('line_code')->filter()->all()),
                    array_values($of->whereNotNull('slot')->map(static fn (stdClass $part): string => "{$part->leaf}, {$part->slot}")->all()),
                );
            })->all());
    }
}
