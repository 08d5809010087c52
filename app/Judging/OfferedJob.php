<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Collection;
use Sarcina\Core\Check\FindingKind;
use stdClass;

/** The action that Today and the kit list offer for a kit, in its one order of urgency. */
final class OfferedJob
{
    /** How many reports of use of the kit and its modules wait for an answer. Selected beside the columns of `kit_states` and `kits`. */
    public const WAITING = '(SELECT COALESCE(SUM(parts.open_reports), 0) FROM kits AS parts
        WHERE parts.id = kits.id OR parts.parent_kit_id = kits.id) AS waiting';

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
