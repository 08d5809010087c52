<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use App\Kits\Models\KitState;
use App\Support\Transaction;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use LogicException;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Format\InvalidDocument;
use stdClass;

/**
 * Keeps what the core said of each kit, so that Today reads it, and judges again what no longer holds. A state is present only where it
 * was judged under all that concerns its kit: nothing clears a mark but a judging that saw what set it.
 */
final class KitStates
{
    /** Kits judged in one snapshot: few, so that nobody waits for long. */
    public const AT_ONCE = 25;

    public function __construct(
        private readonly KitJudge $judge,
        private readonly KitContents $contents,
        private readonly JudgingVersion $version,
        private readonly WriteState $write,
    ) {
    }

    /**
     * Begins a change of what some kits' states rest on: before anything is read to find out which, so that no kit which comes to rest on
     * it meanwhile is missed.
     */
    public function beginChange(): void
    {
        $this->version->raise();
    }

    /**
     * What these kits' states rest on changed: they are judged again before they are shown as present.
     *
     * @param  list<string>|null  $kitIds  null: all
     */
    public function mark(?array $kitIds = null): void
    {
        $version = $this->version->raise();
        // A module has no state of its own: it is judged with the kit that it is in.
        $kitIds = $kitIds === null ? null : Kit::withParents($kitIds);
        foreach ($kitIds === null ? [null] : array_chunk($kitIds, 1000) as $some) {
            DB::table('kit_states')
                ->when($some !== null, fn (Builder $query) => $query->whereIn('kit_id', $some ?? []))
                ->update(['needs_version' => $version, 'waits_since' => DB::raw('COALESCE(waits_since, UTC_TIMESTAMP())')]);
        }
        JudgeMarked::soon();
    }

    /** A kit that is retired, or a module in another one now, is no longer judged by itself, nor shown among the kits. */
    public function drop(Kit $kit): void
    {
        foreach (['kit_dates', 'kit_wants', 'kit_findings', 'kit_shift_states', 'kit_states'] as $table) {
            DB::table($table)->where('kit_id', $kit->id)->delete();
        }
    }

    /** Judges a kit that is held, on that day, and keeps the answer. */
    public function renew(Kit $kit, string $asOf): Judged
    {
        $judged = $this->judge->judge($kit, $asOf);
        $this->keep($kit, $judged, $asOf);

        return $judged;
    }

    /**
     * Judges kits whose states are not present, a few at a time, until none is left or the time is over.
     *
     * @param  float  $seconds  how long at most
     * @return int how many are left
     */
    public function judgeMarked(string $today, float $seconds): int
    {
        $until = microtime(true) + $seconds;
        $after = '';
        do {
            $ids = array_values(array_map(
                strval(...),
                self::notPresent($today)->where('kit_states.kit_id', '>', $after)->orderBy('kit_states.kit_id')->limit(self::AT_ONCE)
                    ->pluck('kit_states.kit_id')->all(),
            ));
            $this->judgeAgain($ids, $today);
            $after = (string) end($ids);
        } while (count($ids) === self::AT_ONCE && microtime(true) < $until);

        return count($ids) < self::AT_ONCE ? 0 : self::notPresent($today)->where('kit_states.kit_id', '>', $after)->count();
    }

    /** States that are not to be shown as present on that day. */
    public static function notPresent(string $today): Builder
    {
        // Each by its own index: together they would be looked for in every state there is.
        $ids = DB::table('kit_states')->where('is_marked', true)->select('kit_id')
            ->union(DB::table('kit_states')->where('holds_through', '<', $today)->select('kit_id'))
            ->union(DB::table('kit_states')->where('judged_for', '>', $today)->select('kit_id'));

        return DB::table('kit_states')->joinSub($ids, 'not_present', 'not_present.kit_id', '=', 'kit_states.kit_id');
    }

    /** Whether a state may be shown as present. */
    public static function isPresent(KitState|stdClass $state, string $today): bool
    {
        return ! $state->is_marked && ($state->holds_through === null || $state->holds_through >= $today) && $state->judged_for <= $today;
    }

    /**
     * Judges kits that nobody holds: in one snapshot, and keeps only what nothing newer was kept over meanwhile.
     *
     * @param  list<string>  $ids
     * @param  (callable(): void)|null  $before  done when all is judged and nothing is kept yet
     */
    public function judgeAgain(array $ids, string $today, ?callable $before = null): void
    {
        if ($ids === []) {
            return;
        }
        Transaction::run(function () use ($ids, $today, $before): void {
            // The first thing that is read: the snapshot of all that follows.
            $version = $this->version->now();
            $kits = array_values(Kit::query()->whereIn('id', $ids)->where('retired_on', null)->where('parent_kit_id', null)
                ->with(['place', 'modules'])->orderBy('id')->get()->all());
            $this->contents->readAhead($kits, Day::of($today));
            $judged = array_map(fn (Kit $kit): ?Judged => $this->judgeIfPossible($kit, $today, $version), $kits);
            $this->contents->forget();
            if ($before !== null) {
                $before();
            }
            $kept = DB::table('kit_states')->whereIn('kit_id', $ids)->orderBy('kit_id')->lockForUpdate()
                ->get(['kit_id', 'rests_on', 'judged_version'])->keyBy('kit_id');
            foreach ($kits as $index => $kit) {
                $there = $kept->get($kit->id);
                $answer = $judged[$index];
                if ($there === null || $answer === null) {
                    continue;
                }
                if ($there->rests_on <= $kit->last_operation && $there->judged_version <= $answer->version) {
                    ($this->write)($kit, $answer, $today, false);
                }
            }
        });
    }

    /** A kit whose list and items do not go together stays marked, and is reported: it does not keep others from being judged. */
    private function judgeIfPossible(Kit $kit, string $today, int $version): ?Judged
    {
        try {
            return $this->judge->judge($kit, $today, version: $version);
        } catch (InvalidDocument $refused) {
            report($refused);

            return null;
        }
    }

    /**
     * Judges those of the kits that have no state at all.
     *
     * @param  list<string>  $ids
     */
    public function judgeFirst(array $ids, string $today): void
    {
        foreach (array_diff($ids, DB::table('kit_states')->whereIn('kit_id', $ids)->pluck('kit_id')->all()) as $id) {
            Transaction::run(function () use ($id, $today): void {
                $kit = Kit::locked($id);
                if ($kit->retired_on === null && $kit->parent_kit_id === null) {
                    $this->renew($kit, $today);
                }
            });
        }
    }

    /** Keeps the answer of a kit that is held. An operation that is being written says afterwards which one it is (restOn). */
    public function keep(Kit $kit, Judged $judged, string $asOf): void
    {
        if ($kit->parent_kit_id !== null) {
            throw new LogicException("The module {$kit->code} has no state of its own: the kit that it is in has one.");
        }
        ($this->write)($kit, $judged, $asOf, true);
        // What was changed beside the record while this was judged concerned kits as they were: this one may be meant.
        $latest = $this->version->latest();
        if ($latest > $judged->version) {
            DB::table('kit_states')->where('kit_id', $kit->id)->update(['needs_version' => DB::raw("GREATEST(needs_version, {$latest})")]);
            JudgeMarked::soon();
        }
    }

    /**
     * An operation of these kits was written.
     *
     * @param  list<string>  $kitIds
     * @param  bool  $isJudged  whether their states were kept with it
     */
    public static function restOn(array $kitIds, int $operation, bool $isJudged): void
    {
        foreach (array_chunk($kitIds, 1000) as $some) {
            DB::table('kit_states')->whereIn('kit_id', $some)
                ->update(['needs_operation' => $operation, ...($isJudged ? ['rests_on' => $operation] : [])]);
        }
    }
}
