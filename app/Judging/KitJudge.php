<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Kits\Models\Kit;
use App\People\Scopes;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Checked;
use Sarcina\Core\Check\Doubts;
use Sarcina\Core\Check\JoinedParts;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\PartJudgement;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Check\Whole;
use Sarcina\Core\Due\Lateness;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Kit as CoreKit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Clash;

/**
 * Makes the documents that a kit's status rests on, and asks the core. The kit's file holds the same documents, so the page and
 * `bin/sarcina rule` cannot differ. Nothing is added to the core's answer.
 */
final class KitJudge
{
    public function __construct(
        private readonly JudgingVersion $version,
        private readonly KitPlans $plans,
        private readonly Catalogue $catalogue,
        private readonly Scopes $scopes,
        private readonly KitContents $contents,
        private readonly KitSchedules $schedules,
        private readonly Disagreements $disagreements,
        private readonly LoadDoubts $doubts,
    ) {
    }

    /**
     * @param  list<ContentRow>|null  $rows  null: as recorded
     * @param  AsChecked|null  $checked  as if a full check were signed on that day; null: as on record
     * @param  int|null  $version  as it was seen at the beginning of the snapshot in which many are judged; null: it is read
     */
    public function judge(Kit $kit, string $asOf, ?array $rows = null, ?AsChecked $checked = null, ?int $version = null): Judged
    {
        // First of all: what is remembered from before a change is forgotten here.
        $version ??= $this->version->now();

        return $this->byPlan($kit, $this->plans->forKit($kit), $asOf, $rows ?? $this->contents->of($kit), $checked, $version);
    }

    /**
     * Judges a kit as if it followed another edition of its design, with its present contents.
     *
     * @param  list<ContentRow>  $rows
     */
    public function byPlan(Kit $kit, KitPlan $plan, string $asOf, array $rows, ?AsChecked $checked = null, int $version = 0): Judged
    {
        $today = Day::of($asOf);
        $scope = $this->scopes->of($kit, $today);
        $itself = new PlanPart('', $kit->name, $plan, $kit);
        $kits = [$kit];
        foreach ($plan->parts as $part) {
            if ($part->kit !== null && $part->prefix !== '') {
                $kits[] = $part->kit;
            }
        }
        $doubts = $this->doubts->of($kit, $kits, $rows, $checked);
        $disagreements = $checked === null ? $this->disagreements->of($kit, $kits) : [];
        $checks = $this->schedules->of($itself, $rows, $today, $checked, $doubts, $disagreements);
        $counts = [$rows, ...array_map(static fn (Disagreement $one): array => $one->difference->from($rows), $disagreements)];
        $byScope = [];
        foreach ($scope->each() as $one) {
            $byScope[] = $this->documents($itself, $counts, $today, $one, $checks, $doubts);
        }
        usort($byScope, static fn (array $one, array $other): int => $other[0]->kit->scope->isAbove($one[0]->kit->scope) ? 1 : -1);
        /** @var non-empty-list<non-empty-list<Assignment>> $byScope */
        $documents = array_merge(...$byScope);
        $whole = Whole::of($documents);
        $perScope = count($byScope[0]);
        [$at, $place] = [intdiv($whole->judged, $perScope), $whole->judged % $perScope];
        $count = $whole->judgements[$whole->judged]->judged;
        $judgement = $this->joined($itself, $byScope[$at], $counts, $count, array_slice($whole->judgements, $at * $perScope, $perScope));
        $recorded = $count === 0 ? $judgement : $this->joined($itself, $byScope[$at], $counts, 0);
        $shifts = [];
        foreach ($scope->shifts as $shift) {
            $verdict = Verdict::Ready;
            foreach ($documents as $index => $document) {
                $verdict = $document->kit->scope === $shift['scope'] ? $verdict->orWorse($whole->judgements[$index]->verdict) : $verdict;
            }
            $shifts[] = new ShiftVerdict($shift['shift'], $shift['scope'], $verdict);
        }
        usort($shifts, static fn (ShiftVerdict $one, ShiftVerdict $other): int => $one->shift <=> $other->shift);

        return new Judged(
            $kit, $plan, $rows, $counts[$count], $documents, $whole, $judgement, $recorded,
            $at === 0 ? $recorded : $this->joined($itself, $byScope[0], $counts, 0),
            ($plan->parts[$place - 1] ?? null)?->phrase(),
            $checks->all, $checks->due, $checks->graceDays, $checks->dueIn, $scope, $version, $doubts, $disagreements, $shifts,
        );
    }

    /**
     * Judges a kit as if other pieces were in it.
     *
     * @param  list<ContentRow>  $rows
     * @return array{Verdict, Judgement} the verdict of the worst shift and part, and the judgement for those who may use most
     */
    public function standingWith(Judged $judged, array $rows): array
    {
        $itself = new PlanPart('', '', $judged->plan, $judged->kit);
        $perScope = 1 + count($judged->plan->parts);
        $documents = [];
        foreach ($judged->documents as $index => $document) {
            $part = $itself->plan->parts[$index % $perScope - 1] ?? $itself;
            $own = array_values($part === $itself ? $rows : array_filter($rows, $part->holds(...)));
            $documents[] = new Assignment(
                $document->asOf, $document->kit, $document->policy, $this->items($part->plan, $own, $document->doubts, $part !== $itself),
                $document->list, $this->asked($part->plan, $own), $document->checked, $document->doubts,
            );
        }
        $whole = Whole::of($documents);

        $best = array_slice($whole->judgements, 0, $perScope);

        return [$whole->verdict, $this->joined($itself, array_slice($documents, 0, $perScope), [$rows], 0, $best)];
    }

    /**
     * Makes the documents of one scope: the joined kit, then each part.
     *
     * @param  non-empty-list<list<ContentRow>>  $counts  the rows, then the other counts
     * @return non-empty-list<Assignment>
     */
    private function documents(PlanPart $itself, array $counts, Day $today, Scope $scope, KitChecks $checks, KitDoubts $doubts): array
    {
        $documents = [$this->document($itself, $itself, $counts, $today, $scope, $checks, $doubts)];
        foreach ($itself->plan->parts as $part) {
            $documents[] = $this->document($itself, $part, array_map(
                static fn (array $rows): array => array_values(array_filter($rows, $part->holds(...))), $counts,
            ), $today, $scope, $checks, $doubts);
        }

        return $documents;
    }

    /**
     * @param  non-empty-list<list<ContentRow>>  $counts
     *
     * @throws InvalidDocument where the list does not go together with what the design or a module adds to it
     */
    private function document(
        PlanPart $itself, PlanPart $part, array $counts, Day $asOf, Scope $scope, KitChecks $checks, KitDoubts $doubts,
    ): Assignment {
        $plan = $part->plan;
        $list = $part === $itself ? $plan->asked($asOf) : $part->asked($asOf);
        $own = match (true) {
            $part === $itself => $doubts->joined,
            $part->kit === null => new Doubts,
            default => $doubts->of($part->kit),
        };
        $check = $part === $itself ? $checks->joined : $checks->of($part);
        $items = $this->items($plan, array_merge(...$counts), $own, $part !== $itself);
        $clashes = $list->clashes($items);
        if ($clashes !== []) {
            throw InvalidDocument::because(
                array_map(static fn (Clash $clash): Problem => new Problem("/list/lines/{$clash->line}/accepts", $clash->message), $clashes),
            );
        }
        $dueOn = $check->dueOn;
        $set = Lateness::notReadyAfterDays($plan->policy->notReadyAfterDays, $plan->policy->every, $dueOn);
        // Days of grace come before a check is overdue, and the days after which the kit is not ready count from the due day all the same.

        return new Assignment(
            $asOf,
            new CoreKit($part->kit->code ?? $part->prefix, $scope, $plan->maxMass, $plan->emptyMass),
            new Policy($plan->policy->expiry, $check->nextCheck, $plan->policy->marginDays, max(0, $set - $check->graceDays), $doubts->asksPrepared),
            $items,
            $list,
            $this->asked($plan, $counts[0]),
            // A part whose list asks for nothing is no reason to say so of the kit: the joined document asks about its check.
            $part->kit === null || ($part !== $itself && ! $list->hasRequirement())
                ? null
                : new Checked($check->lastFull, $dueOn?->plusDays($check->graceDays)),
            $own,
            array_map(fn (array $rows): array => $this->asked($plan, $rows), array_slice($counts, 1)),
        );
    }

    /**
     * Joins the judgements of one scope for the page.
     *
     * @param  non-empty-list<Assignment>  $documents  the joined kit, then each part
     * @param  non-empty-list<list<ContentRow>>  $counts
     * @param  list<Judgement>  $judgements  of these documents, where they are of that count already
     */
    private function joined(PlanPart $itself, array $documents, array $counts, int $count, array $judgements = []): Judgement
    {
        $of = static fn (int $place): Judgement => ($judgements[$place] ?? null)?->judged === $count
            ? $judgements[$place]
            : Judge::ofCount($documents[$place], $count);
        $parts = [];
        foreach ($itself->plan->parts as $index => $part) {
            $own = array_keys(array_filter($counts[$count], $part->holds(...)));
            $parts[] = new PartJudgement($part->phrase(), $of($index + 1), $own, $part->kit === null);
        }

        return JoinedParts::of($of(0), $parts);
    }

    /**
     * @param  array<ContentRow>  $rows
     * @param  bool  $isPart  companions are looked for in the whole kit: the document of a part does not ask for them
     * @return list<Item>
     */
    private function items(KitPlan $plan, array $rows, Doubts $doubts, bool $isPart): array
    {
        $codes = [
            ...array_map(static fn (ContentRow $row): string => $row->itemCode, array_values($rows)),
            ...array_map(static fn (string $key): string => substr($key, 1), array_keys($doubts->reportedUsed)),
            ...$doubts->unprepared,
        ];
        $items = $plan->items + $this->catalogue->items(array_values(array_unique($codes)));

        return array_values($isPart ? array_map(static fn (Item $item): Item => $item->withoutCompanions(), $items) : $items);
    }

    /**
     * @param  array<ContentRow>  $rows
     * @return list<Row>
     */
    private function asked(KitPlan $plan, array $rows): array
    {
        $items = $this->catalogue->items(array_values(array_unique(array_map(static fn (ContentRow $row): string => $row->itemCode, $rows))));
        $known = $plan->items + $items;

        $asked = static fn (ContentRow $row): Row => $row->asked($plan->pocketName($row->pocketId), $known[$row->itemCode]);

        return array_values(array_map($asked, $rows));
    }
}
