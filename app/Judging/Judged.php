<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use App\Ledger\Parts\CheckFinding;
use App\People\KitScope;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Due\NextCheck;
use Sarcina\Core\Kit\Scope;

/** What is known of one kit on one day: the core's judgement and when its next check is, and what lowers the verdict beside it. */
final readonly class Judged
{
    /**
     * @param  list<ContentRow>  $rows  in the order of what was judged
     * @param  Judgement  $judgement  with what a part of the kit is short of by itself
     * @param  Judgement  $joined  of the kit's document alone
     * @param  NextCheck  $planned  by the `due` rule: the earliest of the kit and its modules
     * @param  int  $version  what it was judged under (JudgingVersion)
     * @param  int  $graceDays  after that check is due before it is overdue
     * @param  string|null  $dueIn  the module whose check is due first; null: the kit itself
     * @param  Judgement|null  $best  of those who may use most; null: there is one judgement alone
     * @param  BeingBuilt|null  $beingBuilt  while everything may be out of it: it is not ready, whatever is on record
     * @param  list<NotStaged>  $notStaged  what lies in it and is not staged, where that is asked for
     * @param  ReportedUse|null  $reported  what somebody said was used, and nobody has confirmed
     * @param  list<ShiftVerdict>  $shifts  of each shift of its place by itself; the judgement is the worst of them
     */
    public function __construct(
        public Kit $kit,
        public KitPlan $plan,
        public array $rows,
        public Judgement $judgement,
        public Judgement $joined,
        public NextCheck $planned,
        public KitScope $scope,
        public int $version,
        public ?Disagreement $disagreement = null,
        public ?string $dueIn = null,
        public int $graceDays = 0,
        private array $shifts = [],
        private ?Judgement $best = null,
        public ?BeingBuilt $beingBuilt = null,
        public ?ReportedUse $reported = null,
        public array $notStaged = [],
    ) {
    }

    /** @return list<ShiftVerdict> of each shift of its place; none where none are kept */
    public function shifts(): array
    {
        $lowered = $this->lowered();

        return $lowered === null ? $this->shifts : array_map(static fn (ShiftVerdict $one): ShiftVerdict => $one->atBest($lowered), $this->shifts);
    }

    /** As those see it who may use most of it: what is in it, whoever is there. */
    public function atBest(): Judgement
    {
        return $this->best ?? $this->judgement;
    }

    /** What is to be done with the pieces: by those who may use most, since who is posted changes nothing of what is in it. */
    public function advice(): Advice
    {
        return new Advice($this->atBest());
    }

    /** Whether the restock list takes the item out: not where another shift may use it. */
    public function takesOut(string $item): bool
    {
        foreach ($this->advice()->leaving() as $leaving) {
            if ($leaving->row->item->code === $item) {
                return true;
            }
        }

        return false;
    }

    /** What those may use who have it: in the shift that it is told of. */
    public function usedBy(): Scope
    {
        return $this->judgement->assignment->kit->scope;
    }

    /** The core's verdict, lowered where a look that nobody could put in order found worse, and while it is being packed anew. */
    public function verdict(): Verdict
    {
        $own = $this->judgement->standing();
        $lowered = $this->lowered();

        return $lowered !== null && $lowered->isWorseThan($own) ? $lowered : $own;
    }

    /** The worst that anything beside its contents says of it; null where nothing does. */
    private function lowered(): ?Verdict
    {
        $worst = $this->beingBuilt === null ? null : BeingBuilt::VERDICT;
        foreach ([$this->disagreement?->verdict, $this->reported?->verdict, $this->notStaged === [] ? null : NotStaged::VERDICT] as $one) {
            $worst = $one !== null && ($worst === null || $one->isWorseThan($worst)) ? $one : $worst;
        }

        return $worst;
    }

    /** Whether something about it waits for somebody: it is being packed anew, or a report of use is not answered. */
    public function isOpen(): bool
    {
        return $this->beingBuilt !== null || $this->reported !== null;
    }

    /** Whether nothing but what is not staged keeps it from ready. */
    public function isLoweredByStaging(): bool
    {
        return $this->notStaged !== [] && NotStaged::VERDICT->isWorseThan($this->judgement->standing());
    }

    /** Whether pieces that were reported used make it worse than the core found it. */
    public function isLoweredByReport(): bool
    {
        return $this->reported !== null && $this->reported->verdict->isWorseThan($this->judgement->standing());
    }

    /** Whether two looks that disagree make it worse than the core found it. */
    public function isLowered(): bool
    {
        return $this->disagreement !== null && $this->disagreement->verdict->isWorseThan($this->judgement->standing());
    }

    /** @return list<CheckFinding> what lowers it beside its contents */
    public function overlays(): array
    {
        $doubt = $this->isLowered() && $this->verdict() === Verdict::NotReady ? Severity::Stop : Severity::Fix;

        return array_values(array_filter([
            $this->disagreement?->fact($doubt), $this->beingBuilt?->fact(), ...($this->reported?->facts() ?? []),
            ...array_map(static fn (NotStaged $one): CheckFinding => $one->fact(), $this->notStaged),
        ]));
    }

    public function due(): Due
    {
        $asOf = $this->judgement->assignment->asOf;
        $reported = $this->reported?->since();

        return match (true) {
            $this->disagreement !== null => Due::since($this->disagreement->since, Disagreement::KIND, $asOf),
            $reported !== null && $this->planned->day?->isAfter($reported) !== false => Due::since($reported, Due::REPORT, $asOf),
            default => Due::of($this->planned),
        };
    }
}
