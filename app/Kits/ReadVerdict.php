<?php

declare(strict_types=1);

namespace App\Kits;

use App\Catalogue\Catalogue;
use App\Judging\Judged;
use App\Judging\KitPlanLine;
use App\Judging\PlanShare;
use App\Judging\Reason;
use App\Judging\StatusSentence;
use App\Judging\Words;
use App\Kits\Http\LineResource;
use App\Kits\Http\ReasonResource;
use App\Kits\Http\ShareResource;
use App\Kits\Http\ShiftVerdictResource;
use App\Kits\Http\VerdictResource;
use App\People\Shifts;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Measure\Quantity;

/** A judgement as the page shows it. */
final class ReadVerdict
{
    public function __construct(
        private readonly Words $words,
        private readonly Catalogue $catalogue,
        private readonly Shifts $shifts,
    ) {
    }

    public function __invoke(Judged $judged): VerdictResource
    {
        $judgement = $judged->judgement;
        $shown = new ShownUnder($judged);
        $first = array_flip($judgement->linesToCountFirst());

        return new VerdictResource(
            $judged->verdict()->value,
            StatusSentence::of($judged),
            (string) $judgement->assignment->asOf,
            (string) $judgement->assignment->policy->nextCheck,
            $judgement->assignment->policy->marginDays,
            $judgement->assignment->policy->expiry->value,
            $judgement->mass,
            $judged->plan->maxMass,
            $judged->plan->isEmptyMassKnown,
            array_map(
                static fn (Reason $reason): ReasonResource => new ReasonResource(
                    $reason->kind,
                    $reason->severity,
                    $reason->text,
                    $reason->todo,
                    $reason->job,
                    $reason->line,
                    $reason->item,
                    $reason->row,
                    $reason->pocketId,
                ),
                $this->words->reasons($judged),
            ),
            array_map(
                fn (LineOutcome $outcome): LineResource => $this->line($judged, $shown, $outcome, isset($first[$outcome->line->id])),
                $judgement->lines,
            ),
            $judged->shifts() === [] ? [] : ShiftVerdictResource::each($judged->shifts(), $this->shifts->on(now())),
            $judged->holdsThrough()?->__toString(),
        );
    }

    private function line(Judged $judged, ShownUnder $shown, LineOutcome $outcome, bool $isCountedFirst): LineResource
    {
        $line = $judged->plan->line($outcome->line->id);
        $code = $this->firstItem($judged, $line, $outcome);
        $item = $code === null ? null : $this->catalogue->item($code);

        return new LineResource(
            $line->code(),
            $line->need,
            $item?->purpose,
            $item?->caution,
            $item?->told_from,
            $line->asked->rank->value,
            $line->reason,
            $line->pocketId,
            $code,
            $item->class ?? $line->asked->accepts[0]->class?->name,
            $item?->name,
            $item->count_unit ?? 'each',
            self::amount($outcome->required),
            self::amount($outcome->effective),
            $outcome->reserve,
            self::amount($outcome->short),
            $this->state($judged, $outcome),
            $shown->elsewhere($line->code()),
            $this->accepted($line),
            array_map(static fn (PlanShare $share): ShareResource => new ShareResource($share->pocketId, $share->quantity), $line->shares),
            $isCountedFirst,
        );
    }

    /** The item that a line is mostly about: what lies on it, else what it names first. */
    private function firstItem(Judged $judged, KitPlanLine $line, LineOutcome $outcome): ?string
    {
        if ($outcome->placed !== []) {
            return $judged->judgement->assignment->contents[$outcome->placed[0]->row]->item->code;
        }
        foreach ($line->asked->accepts as $accepted) {
            if ($accepted->item !== null) {
                return $accepted->item;
            }
        }

        return null;
    }

    private function state(Judged $judged, LineOutcome $outcome): string
    {
        if ($outcome->isShort) {
            return match (true) {
                ! $outcome->isShortAfterReserve => 'reserve',
                $outcome->placed === [] => 'none',
                default => 'short',
            };
        }
        foreach ($outcome->placed as $placed) {
            if ($judged->judgement->assignment->expiresEarly($placed->row)) {
                return 'early';
            }
        }

        return 'met';
    }

    /** @return list<string> */
    private function accepted(KitPlanLine $line): array
    {
        $names = [];
        foreach ($line->asked->accepts as $accepted) {
            if ($accepted->class === null) {
                $names[] = $this->catalogue->name((string) $accepted->item);

                continue;
            }
            $least = [];
            foreach ($accepted->least as $measure => $quantity) {
                $least[] = "{$measure} {$quantity->text}";
            }
            $names[] = "any {$accepted->class->name}".($least === [] ? '' : ' of at least '.implode(', ', $least));
        }

        return $names;
    }

    private static function amount(int|Quantity $amount): string
    {
        return $amount instanceof Quantity && $amount->text !== '' ? $amount->text : (string) $amount;
    }
}
