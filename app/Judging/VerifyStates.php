<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use App\Ledger\Parts\CheckFinding;
use App\Support\Transaction;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Every state that is shown as present, beside judging the kit anew. What differs is reported, and judged again. */
final class VerifyStates
{
    /** Kits are updated within seconds; one that waits for so long never will be. */
    private const MINUTES = 5;

    private const CALLED = [
        'verdict' => 'verdict', 'due_on' => 'next check', 'due_kind' => 'kind of check', 'mass_g' => 'mass', 'code' => 'code',
        'walk_order' => 'place in the walk', 'due_because' => 'reason for its check',
        'overdue_from' => 'day from which its check is overdue', 'band' => 'place on Today', 'wants_restock' => 'want of a restock',
    ];

    public function __construct(
        private readonly KitJudge $judge,
        private readonly KitStates $states,
        private readonly Words $words,
    ) {
    }

    /** @return list<string> what is wrong, a sentence for each kit */
    public function __invoke(string $today): array
    {
        $wrong = [];
        $after = '';
        do {
            $ids = DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')
                ->where('id', '>', $after)->orderBy('id')->limit(KitStates::AT_ONCE)
                ->pluck('id')->all();
            // Kept and judged are read in one snapshot.
            [$found, $differing] = Transaction::run(fn (): array => $this->compare($ids, $today));
            array_push($wrong, ...$found);
            if ($differing !== []) {
                $this->states->mark($differing);
                $this->states->judgeFirst($differing, $today);
            }
            $after = (string) end($ids);
        } while (count($ids) === KitStates::AT_ONCE);
        array_push($wrong, ...self::leftOver(), ...self::waiting());
        // Sums and states are read in one snapshot.
        $miscounted = Transaction::run(static fn (): array => StateCounts::faults());
        if ($miscounted !== []) {
            StateCounts::countAnew();
        }

        return [...$wrong, ...$miscounted];
    }

    /** @return list<string> states of kits that have none: out of service, or a module in another kit */
    private static function leftOver(): array
    {
        return array_values(DB::table('kit_states')->join('kits', 'kits.id', '=', 'kit_states.kit_id')
            ->where(static fn (Builder $none): Builder => $none->whereNotNull('kits.retired_on')->orWhereNotNull('kits.parent_kit_id'))
            ->orderBy('kits.code')->pluck('kits.code')
            ->map(static fn (mixed $code): string => "Kit {$code}: it has a state, though it is not judged by itself.")->all());
    }

    /** @return list<string> kits that have waited for too long to be updated */
    private static function waiting(): array
    {
        return array_values(DB::table('kit_states')->where('is_marked', true)->where('waits_since', '<', now()->subMinutes(self::MINUTES))
            ->orderBy('code')->pluck('code')->map(static fn (mixed $code): string => 'Kit '.$code.': it has waited for longer than '.self::MINUTES.
                ' minutes to be updated.')->all());
    }

    /**
     * @param  array<mixed>  $ids
     * @return array{list<string>, list<string>} what is wrong, and of which kits
     */
    private function compare(array $ids, string $today): array
    {
        $states = DB::table('kit_states')->whereIn('kit_id', $ids)->get()->keyBy('kit_id');
        $wrong = [];
        $differing = [];
        foreach (Kit::query()->whereIn('id', $ids)->with('place')->orderBy('id')->get() as $kit) {
            $state = $states->get($kit->id);
            $what = match (true) {
                $state === null => 'it was never judged',
                ! $state->is_marked && $state->rests_on !== $kit->last_operation => 'it rests on operation '.
                    "{$state->rests_on}, not {$kit->last_operation}",
                KitStates::isPresent($state, $today) => $this->difference($kit, $state, $today),
                default => null,
            };
            if ($what !== null) {
                $wrong[] = "Kit {$kit->code}: {$what}.";
                $differing[] = $kit->id;
            }
        }

        return [$wrong, $differing];
    }

    private function difference(Kit $kit, stdClass $state, string $today): ?string
    {
        $judged = $this->judge->judge($kit, $today);
        $byShift = static fn (iterable $shifts): string => implode(', ', array_map(
            static fn (ShiftVerdict $one): string => "{$one->shift} {$one->verdict->value}",
            [...$shifts],
        ));
        $said = WriteState::said($kit, $judged, $today);
        $pairs = ['verdict by shift' => [$byShift(ShiftVerdict::kept([$kit->id])[$kit->id] ?? []), $byShift($judged->shifts())]];
        $text = static fn (bool|int|string|null $value): ?string => $value === null ? null : (string) (is_bool($value) ? (int) $value : $value);
        foreach (self::CALLED as $column => $what) {
            $pairs[$what] = [$text($state->{$column}), $text($said[$column])];
        }
        foreach ($pairs as $what => [$kept, $is]) {
            if ($kept !== $is) {
                return "its {$what} is kept as ".($kept ?? 'none').', and judging anew says '.($is ?? 'none');
            }
        }
        $kept = DB::table('kit_findings')->where('kit_id', $kit->id)->orderBy('position')->get()
            ->map(static fn (stdClass $row): string => Words::found(CheckFinding::fromRow($row)))->all();
        $found = array_map(Words::found(...), $this->words->facts($judged));

        // Of the same gravity they stand in the order of the rows that were judged: as counted, or as they lie there.
        sort($kept);
        sort($found);
        $say = static fn (array $facts): string => $facts === [] ? 'nothing' : '"'.implode('; ', $facts).'"';

        return $kept === $found ? null : "of it is kept {$say($kept)}, and judging anew says {$say($found)}";
    }
}
