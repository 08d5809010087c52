<?php

declare(strict_types=1);

namespace App\Lists;

use App\Accounts\Models\Organisation;
use App\Catalogue\Catalogue;
use App\Catalogue\Measures;
use App\Catalogue\Prices;
use App\Designs\Models\Design;
use App\Judging\KitJudge;
use App\Judging\KitPlan;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Lists\Http\ComparedLineResource;
use App\Lists\Http\ComparisonResource;
use App\Lists\Http\LeftOverResource;
use App\Lists\Http\ToAdd;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Checked;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Format\VerdictDocument;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Kit as CoreKit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\KitList as CoreList;

/** Any kit or design against any list and edition, by the exact placement of the `check` rule; and what it would take to meet it. */
final class CompareWithList
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly KitPlans $designs,
        private readonly ListLoader $lists,
        private readonly Catalogue $catalogue,
        private readonly Prices $prices,
        private readonly Measures $measures,
        private readonly Organisation $organisation,
    ) {
    }

    public function kit(Kit $kit, KitList $list, string $today): ComparisonResource
    {
        $judged = $this->judge->judge($kit, $today);
        $as = $judged->recorded->assignment;

        return $this->held(
            "kit:{$kit->code}",
            "{$kit->code} {$kit->name}",
            $this->lists->judge(self::asked($list), $as->counted, $as->kit, $as->policy, $as->asOf, $as->checked, $as->doubts),
            $list,
        );
    }

    /** A design as a kit of it would be packed: every line with its first choice, in date. */
    public function design(Design $design, KitList $list, string $today): ComparisonResource
    {
        $plan = $this->designs->of($design->latest->id ?? abort(422, "No edition of {$design->name} is published yet."));
        $day = Day::of($today);
        $kit = new CoreKit($design->code, Scope::Clinician, $plan->maxMass, $plan->emptyMass);

        return $this->held(
            "design:{$design->code}",
            "Design: {$design->name}",
            $this->lists->judge(
                self::asked($list), $this->packed($plan), $kit, new Policy(ExpiryPolicy::Strict, $day, 0), $day, new Checked($day, null),
            ),
            $list,
        );
    }

    /** @return list<Row> */
    private function packed(KitPlan $plan): array
    {
        [$pieces] = $this->lists->outfit($plan->asked());
        $items = $this->catalogue->items(array_map(strval(...), array_keys($pieces)));
        $inDate = PrintedDate::of('9999-12');

        return array_values(
            array_map(static fn (Item $item): Row => new Row(null, $item, null, $inDate, $pieces[$item->code], Condition::Good), $items),
        );
    }

    private static function asked(KitList $list): CoreList
    {
        $list->load(['lines.entries.item', 'lines.entries.limits', 'exclusions']);

        return ListLoader::asked($list);
    }

    private function held(string $subject, string $title, Judgement $judgement, KitList $list): ComparisonResource
    {
        $lines = $list->lines->keyBy('code');
        $document = VerdictDocument::of($judgement);
        $held = [];
        foreach ($judgement->lines as $index => $outcome) {
            /** @var Line $line */
            $line = $lines[$outcome->line->id];
            $held[] = new ComparedLineResource(
                $line->code,
                $line->need,
                $line->rank->value,
                (string) $document['lines'][$index]['required'],
                (string) $document['lines'][$index]['effective'],
                self::outcome($outcome),
                $this->placed($judgement, $outcome),
                array_values($line->entries->map($this->measures->accepted(...))->all()),
            );
        }
        $add = $this->toAdd($judgement, $list->lines->pluck('need', 'code')->all());
        $mass = array_sum(array_map(static fn (ToAdd $add): int => $add->mass_g, $add));
        $unpriced = count(array_filter($add, static fn (ToAdd $add): bool => $add->cost === null));
        $short = count(array_filter($held, static fn (ComparedLineResource $line): bool => $line->outcome === 'short'));

        return new ComparisonResource(
            $subject,
            $title,
            ReadLists::ref($list),
            $judgement->verdict->value,
            self::sentence($judgement->verdict, count($held), $short),
            $held,
            $this->rest($judgement),
            $this->findings($judgement),
            $add,
            $mass,
            (int) array_sum(array_map(static fn (ToAdd $add): int => $add->cost ?? 0, $add)),
            $unpriced,
            $judgement->mass,
            $judgement->mass + $mass,
            $this->measures->mass($judgement->mass),
            $this->organisation->currency,
        );
    }

    private static function sentence(Verdict $verdict, int $lines, int $short): string
    {
        $met = ($lines - $short)." of {$lines} lines are met.";

        return match ($verdict) {
            Verdict::Ready => "It meets this list: {$met}",
            Verdict::ReadyWithActions => "It meets this list, with actions due: {$met}",
            Verdict::NoRequirement => "This list has no critical and no required line: {$met}",
            Verdict::Limited => "It does not meet this list: {$met}",
            Verdict::NotChecked => "It was never checked in full. On record, {$met}",
            Verdict::NotReady => "It is not ready by this list: {$met}",
        };
    }

    private static function outcome(LineOutcome $outcome): string
    {
        if ($outcome->isShort) {
            return 'short';
        }
        foreach ($outcome->placed as $placed) {
            if ($placed->preference > 0) {
                return 'stand_in';
            }
        }

        return 'met';
    }

    /** @return list<string> "3 × Medium dressing (lot K77)" */
    private function placed(Judgement $judgement, LineOutcome $outcome): array
    {
        return array_map(function ($placed) use ($judgement): string {
            $row = $judgement->assignment->contents[$placed->row];

            return "{$placed->quantity} × {$this->catalogue->name($row->item->code)}".
                ($row->lot === null ? '' : " (lot {$row->lot})").
                ($placed->reserve ? ', as reserve' : '');
        }, $outcome->placed);
    }

    /** @return list<LeftOverResource> what no line takes, and why */
    private function rest(Judgement $judgement): array
    {
        $taken = [];
        foreach ($judgement->lines as $outcome) {
            foreach ($outcome->placed as $placed) {
                $taken[$placed->row] = ($taken[$placed->row] ?? 0) + $placed->quantity;
            }
        }
        $rest = [];
        foreach ($judgement->assignment->contents as $index => $row) {
            $left = $row->quantity - ($taken[$index] ?? 0);
            if ($left > 0) {
                $because = match (true) {
                    $judgement->assignment->list->excludes($row->item) => 'excluded',
                    ! $judgement->assignment->isUsable($row->item) => 'beyond_scope',
                    ! $judgement->assignment->isEffective($index) => 'unusable',
                    default => 'extra',
                };
                $rest[] = new LeftOverResource($row->item->code, $this->catalogue->name($row->item->code), $left, $because, $row->pocket);
            }
        }

        return $rest;
    }

    /** @return list<string> what is to be mended beside what is short */
    private function findings(Judgement $judgement): array
    {
        $texts = [];
        foreach ($judgement->findings as $finding) {
            $name = $finding->item === null ? '' : $this->catalogue->name($finding->item->code);
            $text = match ($finding->kind) {
                FindingKind::Unpaired => "{$name} is missing a required companion item.",
                FindingKind::MostlyMissing => "{$finding->empty} of {$finding->required} required lines are empty.",
                FindingKind::Overweight => "It weighs {$judgement->mass} g, more than it may.",
                FindingKind::ExpiresEarly => $finding->severity->value === 'fix' ? "{$name} expires before the next check." : null,
                FindingKind::Expired => "{$name} is expired.",
                FindingKind::DateUnknown => "{$name} has no date.",
                FindingKind::Superseded => "{$name} is an outdated model.",
                FindingKind::Overdue => 'Its check is overdue.',
                FindingKind::Repacking => 'It is being repacked.',
                FindingKind::Seal => 'The number on its seal was not the one on record.',
                FindingKind::ReportedUsed => "{$name} was reported used.",
                default => null,
            };
            if ($text !== null) {
                $texts[$text] = $text;
            }
        }

        return array_values($texts);
    }

    /**
     * @param  array<array-key, string>  $needs  by line code
     * @return list<ToAdd>
     */
    private function toAdd(Judgement $judgement, array $needs): array
    {
        $add = [];
        foreach ($judgement->restock as $restock) {
            $item = $this->lists->itemFor($judgement, $restock);
            $add[] = $this->adding(
                $restock->line,
                $needs[$restock->line] ?? '',
                $item,
                $restock->quantity,
                "anything of class {$restock->class} that fits",
            );
        }
        $advice = new Advice($judgement);
        $pieces = $advice->staying();
        foreach ($add as $row) {
            $item = $row->item === null ? null : ($this->catalogue->items([$row->item])[$row->item] ?? null);
            $pieces = $item === null ? $pieces : $pieces->with($item, $row->quantity);
        }
        foreach ($advice->companionsOf($pieces) as $want) {
            $add[] = $this->adding(
                null,
                'Beside '.implode(', ', array_map($this->catalogue->name(...), $want->companion->for ?? [])),
                $want->item,
                $want->pieces,
                '',
            );
        }

        return $add;
    }

    private function adding(?string $line, string $need, ?string $item, int $pieces, string $otherwise): ToAdd
    {
        if ($item === null) {
            return new ToAdd($line, $need, null, $otherwise, $pieces, 0, null, null, null);
        }
        $mass = ($this->catalogue->items([$item])[$item]->mass ?? 0) * $pieces;
        $cost = $this->prices->wholePacks($item, $pieces);

        return new ToAdd(
            $line,
            $need,
            $item,
            $this->catalogue->name($item),
            $pieces,
            $mass,
            $cost,
            $cost === null ? 'no price on record' : null,
            $this->catalogue->item($item)?->caution,
        );
    }
}
