<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Http\WaitingLine;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Lines of designs that wait for something, and those that have begun. */
final class ReadWaitingLines
{
    /**
     * @param  list<string>  $editions  ids
     * @return array<string, list<WaitingLine>> by edition
     */
    public function __invoke(array $editions): array
    {
        $rows = DB::table('placements')->whereIn('placements.design_edition_id', $editions)->whereNotNull('waits_for')
            ->join('design_editions', 'design_editions.id', '=', 'placements.design_edition_id')
            ->leftJoin('lines', static fn ($join) => $join->on('lines.code', '=', 'placements.line_code')
                ->where(static fn ($of) => $of->whereColumn('lines.list_id', 'design_editions.list_id')
                    ->orWhereColumn('lines.design_edition_id', 'design_editions.id')))
            ->leftJoin('line_switches', static fn ($join) => $join->on('line_switches.design_id', '=', 'design_editions.design_id')
                ->whereColumn('line_switches.line_code', 'placements.line_code')->whereNull('line_switches.ended_on'))
            ->leftJoin('users', 'users.id', '=', 'line_switches.user_id')->orderBy('placements.position')
            ->get([
                'placements.design_edition_id', 'placements.line_code', 'waits_for', 'lines.need', 'on_day', 'line_switches.reason', 'users.name',
            ]);
        $waiting = [];
        foreach ($rows->unique(static fn (stdClass $row): string => "{$row->design_edition_id} {$row->line_code}") as $row) {
            $waiting[$row->design_edition_id][] = new WaitingLine(
                $row->line_code, $row->need ?? $row->line_code, $row->waits_for, $row->on_day, $row->reason, $row->name,
            );
        }

        return $waiting;
    }
}
