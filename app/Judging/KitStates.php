<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Due\Because;
use Sarcina\Core\Due\Urgency;

/** Keeps what the core said of each kit, so that Today reads it, and judges again what no longer holds. */
final class KitStates
{
    /** Kits held at once while they are judged: few, so that nobody waits for long. */
    private const AT_ONCE = 50;

    public function __construct(
        private readonly KitJudge $judge,
        private readonly KitContents $contents,
        private readonly Words $words,
    ) {
    }

    /**
     * What these kits' states rest on changed: they are judged again before they are shown.
     *
     * @param  list<string>|null  $kitIds  null: all
     */
    public function doubt(?array $kitIds = null): void
    {
        DB::table('kit_states')
            ->when($kitIds !== null, fn ($query) => $query->whereIn('kit_id', $kitIds ?? []))
            ->update(['holds_through' => '2000-01-01']);
    }

    /** A retired kit is no longer judged, nor shown among the kits. */
    public function drop(Kit $kit): void
    {
        foreach (['kit_dates', 'kit_reasons', 'kit_states'] as $table) {
            DB::table($table)->where('kit_id', $kit->id)->delete();
        }
    }

    /** Judges the kit on that day and keeps the answer. */
    public function renew(Kit $kit, string $asOf): Judged
    {
        $judged = $this->judge->judge($kit, $asOf);
        $this->keep($kit, $judged, $asOf);

        return $judged;
    }

    /**
     * Judges every kit whose state holds no longer.
     *
     * @return int how many
     */
    public function renewStale(string $asOf): int
    {
        $stale = DB::table('kit_states')->where('holds_through', '<', $asOf)->pluck('kit_id')->all();
        foreach (array_chunk($stale, self::AT_ONCE) as $ids) {
            Transaction::run(function () use ($ids, $asOf): void {
                // Held before anything is read: what is recorded of them meanwhile comes after, and is judged by who records it.
                $kits = array_values(Kit::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->with('place')->get()->all());
                $this->contents->readAhead($kits, Day::of($asOf));
                foreach ($kits as $kit) {
                    $this->renew($kit, $asOf);
                }
                $this->contents->forget();
            });
        }

        return count($stale);
    }

    public function keep(Kit $kit, Judged $judged, string $asOf): void
    {
        $due = $judged->due();
        $reasons = $this->words->reasons($judged);
        $today = Day::of($asOf);
        $wantsRestock = (new Advice($judged->judgement))->wantsRestock();
        $grace = $judged->plan->policy->graceDays;
        DB::table('kit_states')->upsert([[
            'kit_id' => $kit->id,
            'code' => $kit->code,
            'walk_order' => $kit->place->walk_order,
            'verdict' => $judged->verdict()->value,
            'mass_g' => $judged->judgement->mass,
            'next_check' => (string) $judged->judgement->assignment->policy->nextCheck,
            'due_on' => $due->day === null ? null : (string) $due->day,
            'due_kind' => $due->kind,
            'due_because' => $due->because,
            'overdue_from' => $due->day === null ? null : (string) Urgency::overdueFrom($due->day, $grace),
            'band' => Urgency::band($judged->verdict(), $due->day, $wantsRestock, $today)->value,
            'wants_restock' => $wantsRestock,
            'judged_for' => $asOf,
            'holds_through' => $this->holdsThrough($judged, $today),
        ]], 'kit_id');
        DB::table('kit_reasons')->where('kit_id', $kit->id)->delete();
        $rows = [];
        foreach (array_values(array_filter($reasons, static fn (Reason $reason): bool => $reason->severity !== 'note')) as $position => $reason) {
            $rows[] = ['kit_id' => $kit->id, 'position' => $position, 'severity' => $reason->severity, 'text' => mb_substr($reason->text, 0, 300)];
        }
        DB::table('kit_reasons')->insert($rows);
        $this->keepDates($kit, $this->dates($kit, $judged));
    }

    /**
     * Most checks leave the dates as they are: then there is nothing to write.
     *
     * @param  list<array<string, string>>  $dates
     */
    private function keepDates(Kit $kit, array $dates): void
    {
        $line = static fn (array $date): string => implode("\n", [$date['place_id'], $date['day'], $date['kind'], $date['texts']]);
        $kept = DB::table('kit_dates')->where('kit_id', $kit->id)->get(['place_id', 'day', 'kind', 'texts']);
        $before = $kept->map(static fn (object $row): string => $line((array) $row))->sort()->values()->all();
        $now = array_map($line, $dates);
        sort($now);
        if ($before !== $now) {
            DB::table('kit_dates')->where('kit_id', $kit->id)->delete();
            DB::table('kit_dates')->insert($dates);
        }
    }

    /** The last day on which nothing in this answer changes by the calendar alone; null where nothing ever does. */
    private function holdsThrough(Judged $judged, Day $asOf): ?string
    {
        $days = [];
        if ($judged->planned->because === Because::First) {
            $days[] = $asOf;
        }
        if ($judged->planned->because === Because::Event && $judged->planned->day !== null) {
            $days[] = $judged->planned->day;
        }
        foreach ($judged->judgement->assignment->contents as $row) {
            if ($row->expires !== null && ! $row->isExpired($asOf)) {
                $days[] = $row->expires->lastGoodDay;
                $days[] = $row->expires->lastGoodDay->plusDays(-$judged->plan->policy->marginDays);
            }
        }
        $days = [...$days, ...Urgency::lastDays($judged->due()->day, $asOf)];
        if ($judged->scope->holdsThrough !== null) {
            $days[] = $judged->scope->holdsThrough;
        }
        $days = array_filter($days, static fn (Day $day): bool => ! $day->isBefore($asOf));
        usort($days, static fn (Day $one, Day $other): int => $one->number <=> $other->number);

        return $days === [] ? null : (string) $days[0];
    }

    /** @return list<array<string, string>> */
    private function dates(Kit $kit, Judged $judged): array
    {
        $texts = [];
        if ($judged->due()->day !== null) {
            $texts[(string) $judged->due()->day]['check'][] = $this->words->due($judged->due());
        }
        foreach ($judged->judgement->assignment->contents as $index => $row) {
            if ($row->expires !== null && $judged->judgement->assignment->isEffective($index)) {
                $text = $this->words->itemName($row->item->code).' expires';
                $texts[(string) $row->expires->lastGoodDay]['expiry'][$text] = $text;
            }
        }
        $dates = [];
        foreach ($texts as $day => $kinds) {
            foreach ($kinds as $kind => $lines) {
                $dates[] = ['kit_id' => $kit->id, 'place_id' => $kit->place_id, 'day' => $day, 'kind' => $kind, 'texts' => implode("\n", $lines)];
            }
        }

        return $dates;
    }
}
