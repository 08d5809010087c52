<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Kits\Models\Kit;
use App\People\KitScope;
use App\People\Scopes;
use LogicException;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\PartJudgement;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Check\Whole;
use Sarcina\Core\Due\Due;
use Sarcina\Core\Due\Expiry;
use Sarcina\Core\Due\NextCheck;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Kit\Kit as CoreKit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Clash;
use Sarcina\Core\Lists\KitList;

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
        private readonly Disagreements $disagreements,
        private readonly OpenBuilds $builds,
        private readonly OpenReports $reports,
        private readonly Unstaged $unstaged,
    ) {
    }

    /**
     * @param  list<ContentRow>|null  $rows  null: as recorded
     * @param  AsChecked|null  $checked  as though a full check were signed on that day; null: as on record
     * @param  int|null  $version  as it was seen at the beginning of the snapshot in which many are judged; null: it is read
     */
    public function judge(Kit $kit, string $asOf, ?array $rows = null, ?AsChecked $checked = null, ?int $version = null): Judged
    {
        // First of all: what is remembered from before a change is forgotten here.
        $version ??= $this->version->now();

        return $this->byPlan($kit, $this->plans->forKit($kit), $asOf, $rows ?? $this->contents->of($kit), $checked, $version);
    }

    /**
     * As though the kit kept another edition of its design, with what is in it.
     *
     * @param  list<ContentRow>  $rows
     */
    public function byPlan(Kit $kit, KitPlan $plan, string $asOf, array $rows, ?AsChecked $checked = null, int $version = 0): Judged
    {
        $today = Day::of($asOf);
        $scope = $this->scopes->of($kit, $today);
        $itself = new PlanPart('', $kit->name, $plan, $kit);
        $parts = $plan->parts === [] ? [$itself] : $plan->parts;
        $worst = $most = $best = null;
        $shifts = [];
        // The lowest scope first: of shifts that fare alike it is told of that one.
        foreach ($scope->each() as $one) {
            $inScope = $this->inScope($itself, $rows, $today, $one, $checked);
            foreach ($scope->shifts as $shift) {
                if ($shift['scope'] === $one) {
                    $shifts[] = new ShiftVerdict($shift['shift'], $one, $inScope[0]->standing());
                }
            }
            [$most, $best] = $most === null || $one->isAbove($most) ? [$one, $inScope[0]] : [$most, $best];
            $worst = $worst === null || $inScope[0]->standing()->isWorseThan($worst[0]->standing()) ? $inScope : $worst;
        }
        [$judgement, $joined] = $worst ?? throw new LogicException('A kit has a scope.');
        usort($shifts, static fn (ShiftVerdict $one, ShiftVerdict $other): int => $one->shift <=> $other->shift);
        $planned = null;
        $dueIn = null;
        $grace = 0;
        foreach ($parts as $part) {
            if ($part->kit === null) {
                continue;
            }
            $own = array_intersect_key($joined->assignment->contents, $plan->parts === [] ? $rows : array_filter($rows, $part->holds(...)));
            $isChecked = $checked?->opens($part->kit->id) ?? false;
            $next = $this->due($part->kit, $part->plan, array_values($own), $today, self::lastFull($part->kit, $today, $isChecked), $isChecked);
            if ($planned === null || self::isEarlier($next, $planned)) {
                [$planned, $dueIn, $grace] = [$next, $part->prefix === '' ? null : $part->name, $part->plan->policy->graceDays];
            }
        }

        return new Judged(
            $kit, $plan, $rows, $judgement, $joined, $planned ?? throw new LogicException('A kit is a part of itself.'), $scope, $version,
            $checked !== null ? null : $this->disagreements->worstOf($kit), $dueIn, $grace, $shifts, $best,
            $this->builds->of($kit, $kits = array_values(array_filter(array_map(static fn (PlanPart $part): ?Kit => $part->kit, $parts)))),
            // A check answers no report: that waits until somebody confirms or rejects it.
            $this->reported($itself, $rows, $joined->assignment, $today, $scope, $this->reports->of($kits, $checked), $checked),
            $this->unstaged->of($kit, $kits, $rows),
        );
    }

    /**
     * What was reported used and waits, and the standing that the worst of those would see who have the kit, were those pieces gone.
     *
     * @param  list<ContentRow>  $rows
     * @param  list<OpenReport>  $reports
     */
    private function reported(
        PlanPart $itself,
        array $rows,
        Assignment $assignment,
        Day $today,
        KitScope $scope,
        array $reports,
        ?AsChecked $checked,
    ): ?ReportedUse {
        if ($reports === []) {
            return null;
        }
        $worst = count($reports) >= OpenReports::MOST ? Verdict::NotReady : Verdict::ReadyWithActions;
        $left = OpenReports::without($rows, $assignment, $reports);
        foreach ($scope->each() as $one) {
            $standing = $this->inScope($itself, $left, $today, $one, $checked)[0]->standing();
            $worst = $standing->isWorseThan($worst) ? $standing : $worst;
        }

        return new ReportedUse($reports, $worst);
    }

    /**
     * As though other pieces were in it: the standing that the worst of those would see who have it, and what those would who may use most.
     *
     * @param  list<ContentRow>  $rows
     * @return array{Verdict, Judgement}
     */
    public function standingWith(Judged $judged, array $rows): array
    {
        $itself = new PlanPart('', '', $judged->plan, $judged->kit);
        [$worst, $most, $best] = [null, null, null];
        foreach ($judged->scope->each() as $scope) {
            [$judgement] = $this->inScope($itself, $rows, $judged->judgement->assignment->asOf, $scope, null);
            [$most, $best] = $most === null || $scope->isAbove($most) ? [$scope, $judgement] : [$most, $best];
            $worst = $worst === null || $judgement->standing()->isWorseThan($worst) ? $judgement->standing() : $worst;
        }

        return [$worst ?? throw new LogicException('A kit has a scope.'), $best ?? $judged->atBest()];
    }

    /**
     * As those may use it who have that scope.
     *
     * @param  list<ContentRow>  $rows
     * @return array{Judgement, Judgement} with what a part is short of by itself, and of the kit's document alone
     */
    private function inScope(PlanPart $itself, array $rows, Day $today, Scope $scope, ?AsChecked $checked): array
    {
        $joined = Judge::judge($this->assignment($itself, $itself->plan->asked($today), $rows, $today, $scope, $checked !== null));
        $parts = [];
        foreach ($itself->plan->parts as $part) {
            $own = array_filter($rows, $part->holds(...));
            $isChecked = $checked !== null && ($part->kit === null || $checked->opens($part->kit->id));
            $parts[] = new PartJudgement(
                $part->phrase(),
                Judge::judge($this->assignment($part, $part->asked($today), array_values($own), $today, $scope, $isChecked)),
                array_keys($own),
                $part->kit === null,
            );
        }

        return [Whole::of($joined, $parts), $joined];
    }

    private static function lastFull(Kit $kit, Day $today, bool $isChecked): ?Day
    {
        return $isChecked ? $today : ($kit->last_full_on === null ? null : Day::of($kit->last_full_on));
    }

    private static function isEarlier(NextCheck $one, NextCheck $other): bool
    {
        return $one->day !== null && ($other->day === null || $one->day->isBefore($other->day));
    }

    /**
     * @param  list<ContentRow>  $rows
     *
     * @throws InvalidDocument where the list does not go together with what the design or a module adds to it
     */
    private function assignment(PlanPart $part, KitList $list, array $rows, Day $asOf, Scope $scope, bool $isChecked): Assignment
    {
        $plan = $part->plan;
        $items =
            $plan->items +
            $this->catalogue->items(array_values(array_unique(array_map(static fn (ContentRow $row): string => $row->itemCode, $rows))));
        $clashes = $list->clashes($items);
        if ($clashes !== []) {
            throw InvalidDocument::because(
                array_map(static fn (Clash $clash): Problem => new Problem("/list/lines/{$clash->line}/accepts", $clash->message), $clashes),
            );
        }
        $lastFull = $part->kit === null ? null : self::lastFull($part->kit, $asOf, $isChecked);

        return new Assignment(
            $asOf,
            new CoreKit($part->kit->code ?? $part->prefix, $scope, $plan->maxMass, $plan->emptyMass),
            new Policy($plan->policy->expiry, $this->nextCheck($plan, $asOf, $lastFull), $plan->policy->marginDays),
            array_values($items),
            $list,
            array_map(static fn (ContentRow $row): Row => $row->asked($plan->pocketName($row->pocketId), $items[$row->itemCode]), $rows),
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

    /** @param  list<Row>  $rows */
    private function due(Kit $kit, KitPlan $plan, array $rows, Day $today, ?Day $lastFull, bool $asChecked): NextCheck
    {
        $dates = [];
        foreach ($rows as $row) {
            $last = $row->isSound() ? $row->lastGoodDay() : null;
            if ($last !== null) {
                $dates[(string) $last] = PrintedDate::of((string) $last);
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
