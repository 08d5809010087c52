<?php

declare(strict_types=1);

namespace App\Judging;

use App\Models\Kit;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Due\Due;
use Sarcina\Core\Due\Expiry;
use Sarcina\Core\Due\Interval;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitReader;

/**
 * Builds a kit's document and asks the core. The document that is judged is the one that is
 * downloaded, so what the page says and what `bin/sarcina rule check` says cannot differ.
 */
final class KitJudge
{
    public function __construct(
        private readonly Plans $plans,
        private readonly Catalogue $catalogue,
        private readonly Scopes $scopes,
    ) {
    }

    /**
     * @param  list<ContentRow>|null  $rows  null: as recorded
     * @param  bool  $asChecked  as though a full check were signed on that day
     */
    public function judge(Kit $kit, string $asOf, ?array $rows = null, bool $asChecked = false): Judged
    {
        $plan = $this->plans->forKit($kit);
        $rows ??= $this->recorded($kit);
        $today = Day::of($asOf);
        $lastFull = $asChecked ? $today : ($kit->last_full_on === null ? null : Day::of($kit->last_full_on));
        $scope = $this->scopes->of($kit, $today);
        $document = $this->document($kit, $plan, $rows, $asOf, $this->nextCheck($plan, $today, $lastFull), $scope->scope->value);
        $judgement = Judge::judge(KitReader::read(Json::read(Json::write($document))));

        return new Judged($plan, $rows, $document, $judgement, $this->due($kit, $plan, $rows, $today, $lastFull, $asChecked), $scope);
    }

    /** @return list<ContentRow> */
    public function recorded(Kit $kit): array
    {
        $holdings = DB::table('holdings')
            ->join('lots', 'lots.id', '=', 'holdings.lot_id')
            ->join('items', 'items.id', '=', 'lots.item_id')
            ->where('holdings.kit_id', $kit->id)
            ->orderBy('holdings.id')
            ->get(['holdings.pocket_id', 'holdings.lot_id', 'holdings.quantity', 'holdings.condition', 'lots.number', 'lots.expires', 'items.code']);

        return array_values($holdings->map(fn (object $row): ContentRow => new ContentRow(
            $row->pocket_id, $row->code, $row->lot_id, $row->number, $row->expires, (int) $row->quantity, $row->condition,
        ))->all());
    }

    /**
     * @param  list<ContentRow>  $rows
     * @return array<string, mixed> `sarcina.kit/1`
     */
    private function document(Kit $kit, Plan $plan, array $rows, string $asOf, Day $nextCheck, string $scope): array
    {
        $codes = array_values(array_unique(array_map(static fn (ContentRow $row): string => $row->itemCode, $rows)));
        $items = $plan->items + $this->catalogue->documents($codes);

        return [
            'format' => KitReader::FORMAT,
            'as_of' => $asOf,
            'kit' => [
                'code' => $kit->code,
                'scope' => $scope,
                ...($plan->maxMass === null ? [] : ['max_mass_g' => $plan->maxMass]),
                'empty_mass_g' => $plan->emptyMass,
            ],
            'policy' => [
                'expiry' => $plan->policy['expiry'],
                'next_check' => (string) $nextCheck,
                'margin_days' => $plan->policy['margin_days'],
            ],
            'items' => array_values($items),
            'list' => [
                'code' => $plan->list['code'],
                'excludes' => $plan->excludes,
                'lines' => array_map(static fn (PlanLine $line): array => $line->document(), $plan->lines),
            ],
            'contents' => array_map(static fn (ContentRow $row): array => [
                'pocket' => $plan->pocketName($row->pocketId),
                'item' => $row->itemCode,
                'lot' => $row->lot,
                'expires' => $row->expires,
                'quantity' => $row->quantity,
                'condition' => $row->condition,
            ], $rows),
        ];
    }

    /**
     * The next look into the kit that is planned: by season or interval, not for what happens in between.
     * Where it is past, the next look is today's.
     */
    private function nextCheck(Plan $plan, Day $today, ?Day $lastFull): Day
    {
        $planned = Due::next(new Schedule(
            asOf: $today,
            every: self::interval($plan),
            seasons: array_map(SeasonDay::of(...), $plan->seasons),
            lastFull: $lastFull,
        ))->day;

        return $planned === null || $planned->isBefore($today) ? $today : $planned;
    }

    /** @param  list<ContentRow>  $rows */
    private function due(Kit $kit, Plan $plan, array $rows, Day $today, ?Day $lastFull, bool $asChecked): \Sarcina\Core\Due\NextCheck
    {
        $dates = [];
        foreach ($rows as $row) {
            if ($row->condition === 'good' && $row->expires !== null) {
                $dates[$row->expires] = PrintedDate::of($row->expires);
            }
        }
        $events = $plan->policy['before_events']
            ? DB::table('events')->join('event_kits', 'event_kits.event_id', '=', 'events.id')
                ->where('event_kits.kit_id', $kit->id)->where('events.day', '>=', (string) $today)->orderBy('events.day')->pluck('events.day')->all()
            : [];

        return Due::next(new Schedule(
            asOf: $today,
            every: self::interval($plan),
            seasons: array_map(SeasonDay::of(...), $plan->seasons),
            beforeEvents: $plan->policy['before_events'],
            events: array_values(array_map(Day::of(...), $events)),
            afterUse: $plan->policy['after_use'],
            usedOn: $asChecked || $kit->used_on === null ? null : Day::of($kit->used_on),
            seal: $asChecked && $kit->seal === 'broken' ? Seal::None : Seal::from($kit->seal),
            sealBrokenOn: $asChecked || $kit->seal_broken_on === null ? null : Day::of($kit->seal_broken_on),
            lastFull: $lastFull,
            lastQuick: $kit->last_quick_on === null ? null : Day::of($kit->last_quick_on),
            earliestExpiry: Expiry::firstToAsk(array_values($dates), $lastFull, $plan->policy['margin_days']),
            marginDays: $plan->policy['margin_days'],
            graceDays: $plan->policy['grace_days'],
        ));
    }

    private static function interval(Plan $plan): ?Interval
    {
        [$unit, $count] = $plan->policy['every'] ?? [null, 0];

        return match ($unit) {
            'months' => Interval::months($count),
            'weeks' => Interval::weeks($count),
            'days' => Interval::days($count),
            default => null,
        };
    }
}
