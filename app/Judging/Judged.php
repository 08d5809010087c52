<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use App\People\KitScope;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Check\Whole;
use Sarcina\Core\Due\HoldsThrough;
use Sarcina\Core\Due\NextCheck;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Kit\Scope;

/** The status of one kit on one day: the core's answer, with the documents it rests on, and when the next check is due. */
final readonly class Judged
{
    /**
     * @param  list<ContentRow>  $rows  as recorded, or as somebody counts them
     * @param  list<ContentRow>  $judgedRows  those of the count that was judged: other ones where two counts disagree
     * @param  non-empty-list<Assignment>  $documents  for each scope, the highest first: the joined kit, then each part
     * @param  Judgement  $judgement  of the scope and count that the status holds for, the kit's and those of its parts joined
     * @param  Judgement  $recorded  the same of the rows
     * @param  Judgement  $best  the same for those who may use most
     * @param  string|null  $part  the part that the status holds for, where it is not the whole kit
     * @param  list<array{Schedule, NextCheck}>  $schedules  of the kit and its modules
     * @param  int  $version  that it was judged under (JudgingVersion)
     * @param  string|null  $dueIn  the module whose check is due first; null: the kit itself
     * @param  list<Disagreement>  $disagreements
     * @param  list<ShiftVerdict>  $shifts  of its place
     */
    public function __construct(
        public Kit $kit,
        public KitPlan $plan,
        public array $rows,
        public array $judgedRows,
        public array $documents,
        public Whole $whole,
        public Judgement $judgement,
        public Judgement $recorded,
        private Judgement $best,
        public ?string $part,
        public array $schedules,
        private Due $due,
        public int $graceDays,
        public ?string $dueIn,
        public KitScope $scope,
        public int $version,
        public KitDoubts $doubts,
        public array $disagreements,
        private array $shifts,
    ) {
    }

    public function verdict(): Verdict
    {
        return $this->whole->verdict;
    }

    public function due(): Due
    {
        return $this->due;
    }

    public function asOf(): Day
    {
        return $this->documents[0]->asOf;
    }

    /** Finds the last day through which the status holds by the calendar alone, or returns null. */
    public function holdsThrough(): ?Day
    {
        $others = $this->plan->lastDaysBefore();
        if ($this->scope->holdsThrough !== null) {
            $others[] = $this->scope->holdsThrough;
        }

        return HoldsThrough::of($this->asOf(), $this->documents, $this->schedules, $this->due->day, $others);
    }

    /** @return list<ShiftVerdict> of each shift of its place; none where it has none */
    public function shifts(): array
    {
        return $this->shifts;
    }

    /** As those see it who may use most of it: what is in it, whoever is there. */
    public function atBest(): Judgement
    {
        return $this->best;
    }

    /** Advises on the pieces as those see it who may use most: who is posted changes nothing about the contents. */
    public function advice(): Advice
    {
        return new Advice($this->best);
    }

    /** Says whether the restock list takes the item out: not where another shift may use it. */
    public function takesOut(string $item): bool
    {
        foreach ($this->advice()->leaving() as $leaving) {
            if ($leaving->row->item->code === $item) {
                return true;
            }
        }

        return false;
    }

    /** The scope that the status holds for. */
    public function usedBy(): Scope
    {
        return $this->judgement->assignment->kit->scope;
    }

    /** Says whether it waits for somebody: it is being repacked, or a report of use is not answered. */
    public function isOpen(): bool
    {
        return $this->doubts->repack !== null || $this->doubts->reports !== [];
    }
}
