<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\FindingKind;
use stdClass;

/** The action that Today and the kit list offer for a kit, in its one order of urgency. */
final class OfferedJob
{
    /** How many reports of use of the kit and its modules wait for an answer. Selected beside the columns of `kit_states` and `kits`. */
    public const WAITING = '(SELECT COALESCE(SUM(parts.open_reports), 0) FROM kits AS parts
        WHERE parts.id = kits.id OR parts.parent_kit_id = kits.id) AS waiting';

    /** Gives the action that a kit's own page offers first: the one that Today and the kit list offer too. */
    public static function ofKit(string $kit, string $today): ?string
    {
        $row = DB::table('kit_states')->join('kits', 'kits.id', '=', 'kit_states.kit_id')->where('kit_states.kit_id', $kit)
            ->whereNull('kits.retired_on')->first(['kit_states.*', DB::raw(self::WAITING)]);

        return $row === null ? null : self::of($row, DB::table('kit_findings')->where('kit_id', $kit)->get(), $today);
    }

    /**
     * @param  stdClass  $row  of `kit_states`, with `waiting`
     * @param  Collection<int, stdClass>|null  $findings  of the kit
     * @return string|null build, report, check, restock or people; null where nothing is offered
     */
    public static function of(stdClass $row, ?Collection $findings, string $today): ?string
    {
        $isPresent = KitStates::isPresent($row, $today);
        $has = static fn (FindingKind $kind): bool => $isPresent && $findings?->contains('kind', $kind->value) === true;

        return match (true) {
            $has(FindingKind::Repacking) => 'build',
            (int) $row->waiting > 0 => 'report',
            // A kit that is due is counted before anything is put in.
            $row->due_on !== null && $row->due_on <= $today => 'check',
            (bool) $row->wants_restock => 'restock',
            $has(FindingKind::BeyondScope) => 'people',
            default => null,
        };
    }
}
