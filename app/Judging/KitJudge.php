<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Catalogue\Catalogue;
use App\Kits\Models\Kit;
use App\People\Scopes;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Due\Due;
use Sarcina\Core\Due\Expiry;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Kit as CoreKit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Clash;

/**
 * Loads a kit as the core judges it, and asks the core. What is downloaded is written from what was judged (KitDocument), and reads
 * back as the same, so what the page says and what `bin/sarcina rule check` says cannot differ.
 */
final class KitJudge
{
    public function __construct(
        private readonly JudgingVersion $version,
        private readonly KitPlans $plans,
        private readonly Catalogue $catalogue,
        private readonly Scopes $scopes,
        private readonly KitContents $contents,
        private readonly Organisation $organisation,
    ) {
    }

    /**
     * @param  list<ContentRow>|null  $rows  null: as recorded
     * @param  bool  $asChecked  as though a full check were signed on that day
     * @param  int|null  $version  as it was seen at the beginning of the snapshot in which many are judged; null: it is read
     */
    public function judge(Kit $kit, string $asOf, ?array $rows = null, bool $asChecked = false, ?int $version = null): Judged
    {
        // First of all: what is remembered from before a change is forgotten here.
        $version ??= $this->version->now();
        $plan = $this->plans->forKit($kit);
        $rows ??= $this->contents->of($kit);
        $today = Day::of($asOf);
        $lastFull = $asChecked ? $today : ($kit->last_full_on === null ? null : Day::of($kit->last_full_on));
        $scope = $this->scopes->of($kit, $today);
        $judgement = Judge::judge($this->assignment($kit, $plan, $rows, $today, $this->nextCheck($plan, $today, $lastFull), $scope->scope));

        return new Judged(
            $plan, $rows, $judgement, $this->due($kit, $plan, $rows, $today, $lastFull, $asChecked), $scope, $version,
            $asChecked ? null : $this->disagreement($kit),
        );
    }

    private function disagreement(Kit $kit): ?Disagreement
    {
        if ($kit->disputed_by === null) {
            return null;
        }
        $check = DB::table('checks')
            ->join('operations', 'operations.number', '=', 'checks.operation_number')
            ->where('operations.number', $kit->disputed_by)
            ->first(['checks.verdict', 'checks.standing', 'operations.user_name', 'operations.received_at']);

        return $check === null ? null : new Disagreement(
            Verdict::from($check->verdict), $kit->disputed_by, (string) $check->user_name,
            Day::of($this->organisation->dayOf(CarbonImmutable::parse($check->received_at, 'UTC'))), $check->standing === 'stands',
        );
    }

    /**
     * @param  list<ContentRow>  $rows
     *
     * @throws InvalidDocument where the list does not go together with what the design or a module adds to it
     */
    private function assignment(Kit $kit, KitPlan $plan, array $rows, Day $asOf, Day $nextCheck, Scope $scope): Assignment
    {
        $items =
            $plan->items +
            $this->catalogue->items(array_values(array_unique(array_map(static fn (ContentRow $row): string => $row->itemCode, $rows))));
        $list = $plan->asked();
        $clashes = $list->clashes($items);
        if ($clashes !== []) {
            throw InvalidDocument::because(
                array_map(static fn (Clash $clash): Problem => new Problem("/list/lines/{$clash->line}/accepts", $clash->message), $clashes),
            );
        }

        return new Assignment(
            $asOf,
            new CoreKit($kit->code, $scope, $plan->maxMass, $plan->emptyMass),
            new Policy($plan->policy->expiry, $nextCheck, $plan->policy->marginDays),
            array_values($items),
            $list,
            array_map(
                static fn (ContentRow $row): Row => new Row(
                    $plan->pocketName($row->pocketId),
                    $items[$row->itemCode],
                    $row->lot,
                    $row->expires === null ? null : PrintedDate::of($row->expires),
                    $row->quantity,
                    Condition::from($row->condition),
                ),
                $rows,
            ),
        );
    }

    /**
     * The next look into the kit that is planned: by season or interval, not for what happens in between.
     * Where it is past, the next look is today's.
     */
    private function nextCheck(KitPlan $plan, Day $today, ?Day $lastFull): Day
    {
        $planned = Due::next(new Schedule(
            asOf: $today,
            every: $plan->policy->every,
            seasons: $plan->policy->seasons,
            lastFull: $lastFull,
        ))->day;

        return $planned === null || $planned->isBefore($today) ? $today : $planned;
    }

    /** @param  list<ContentRow>  $rows */
    private function due(Kit $kit, KitPlan $plan, array $rows, Day $today, ?Day $lastFull, bool $asChecked): \Sarcina\Core\Due\NextCheck
    {
        $dates = [];
        foreach ($rows as $row) {
            if ($row->condition === 'good' && $row->expires !== null) {
                $dates[$row->expires] = PrintedDate::of($row->expires);
            }
        }
        $events = $plan->policy->beforeEvents ? $this->contents->eventsOf($kit, $today) : [];

        return Due::next(new Schedule(
            asOf: $today,
            every: $plan->policy->every,
            seasons: $plan->policy->seasons,
            beforeEvents: $plan->policy->beforeEvents,
            events: $events,
            afterUse: $plan->policy->afterUse,
            usedOn: $asChecked || $kit->used_on === null ? null : Day::of($kit->used_on),
            seal: $asChecked && $kit->seal === Seal::Broken ? Seal::None : $kit->seal,
            sealBrokenOn: $asChecked || $kit->seal_broken_on === null ? null : Day::of($kit->seal_broken_on),
            lastFull: $lastFull,
            lastQuick: $kit->last_quick_on === null ? null : Day::of($kit->last_quick_on),
            earliestExpiry: Expiry::firstToAsk(array_values($dates), $lastFull, $plan->policy->marginDays),
            marginDays: $plan->policy->marginDays,
            graceDays: $plan->policy->graceDays,
        ));
    }
}
