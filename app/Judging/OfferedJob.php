<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Collection;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Severity;
use stdClass;

/** The action that Today and the kit list offer for a kit, in its one order of urgency. */
final class OfferedJob
{
    /** How many reports of use of the kit and its modules wait for an answer. Selected beside the columns of `kit_states` and `kits`. */
    public const WAITING = '(SELECT COALESCE(SUM(parts.open_reports), 0) FROM kits AS parts
        WHERE parts.id = kits.id OR parts.parent_kit_id = kits.id) AS waiting';

    /** Gives the action that a kit's own page offers first: the one that Today and the kit list offer too. */
    public static function ofJudged(Judged $judged, string $today): ?string
    {
        if ($judged->kit->retired_on !== null) {
            return null;
        }
        $has = static fn (FindingKind $kind): bool => array_filter(
            $judged->judgement->findings,
            static fn (Finding $finding): bool => $finding->kind === $kind && $finding->severity !== Severity::Note,
        ) !== [];
        $due = $judged->due()->day;

        return self::first(
            $has(FindingKind::Repacking), $judged->kit->open_reports + (int) $judged->kit->modules->sum('open_reports'),
            $due === null ? null : (string) $due, $judged->advice()->wantsRestock(), $has(FindingKind::BeyondScope), $today,
        );
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

        return self::first(
            $has(FindingKind::Repacking), (int) $row->waiting, $row->due_on, (bool) $row->wants_restock, $has(FindingKind::BeyondScope), $today,
        );
    }

    /** Gives the most urgent action. A kit that is due is counted before anything is put in. */
    private static function first(bool $isRepacked, int $reports, ?string $dueOn, bool $wantsRestock, bool $isBeyondScope, string $today): ?string
    {
        return match (true) {
            $isRepacked => 'build',
            $reports > 0 => 'report',
            $dueOn !== null && $dueOn <= $today => 'check',
            $wantsRestock => 'restock',
            $isBeyondScope => 'people',
            default => null,
        };
    }
}
