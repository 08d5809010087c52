<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Due\Because;
use Sarcina\Core\Due\NextCheck;

/** Says a judgement in words: the sentence of the verdict, its reasons, and what to do about each. */
final class Words
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function sentence(Judged $judged): string
    {
        $findings = $judged->judgement->findings;
        $count = static fn (Severity $severity): int => count(array_filter($findings, static fn (Finding $finding): bool => $finding->severity === $severity));
        $toFix = $count(Severity::Fix);
        $next = self::date((string) $judged->judgement->assignment->policy->nextCheck);

        return match ($judged->judgement->verdict) {
            Verdict::Ready => "Ready. Everything on the list is there and lasts until the next check, {$next}.",
            Verdict::ReadyWithActions => 'Ready, with '.self::number($toFix, 'thing').' to put right.',
            Verdict::Limited => 'Limited. '.self::number(count(array_filter($judged->judgement->lines, static fn (LineOutcome $line): bool => $line->isShortAfterReserve && $line->line->rank->value === 'required')), 'required line').' cannot be met with what is there.',
            Verdict::NotReady => 'Not ready. This kit must not go out: '.self::number($count(Severity::Stop), 'critical fault').'.',
        };
    }

    /**
     * The reasons, gravest first.
     *
     * @return list<Reason>
     */
    public function reasons(Judged $judged): array
    {
        $reasons = array_map(fn (Finding $finding): Reason => $this->reason($judged, $finding), $judged->judgement->findings);
        usort($reasons, static fn (Reason $one, Reason $other): int => $one->order() <=> $other->order());

        return $reasons;
    }

    public function due(NextCheck $due): string
    {
        if ($due->day === null) {
            return 'No check is planned.';
        }
        $what = $due->kind?->value === 'quick' ? 'quick check' : 'full check';
        $why = match ($due->because) {
            Because::First => 'it was never checked',
            Because::Seal => 'its seal is broken',
            Because::Use => 'it was used',
            Because::Expiry => 'something in it runs out',
            Because::Season => 'the season begins',
            Because::Interval => 'the interval is over',
            Because::Event => 'it goes out to an event',
            null => '',
        };

        return ucfirst($what).' on '.self::date((string) $due->day).", because {$why}.";
    }

    /** "31 Mar 2027" */
    public static function date(string $day): string
    {
        return (new \DateTimeImmutable($day))->format('j M Y');
    }

    public static function number(int $count, string $thing): string
    {
        return $count === 1 ? "1 {$thing}" : "{$count} {$thing}s";
    }

    public function itemName(string $code): string
    {
        return $this->catalogue->name($code);
    }

    private function reason(Judged $judged, Finding $finding): Reason
    {
        $concerns = $finding->concerns;
        $row = isset($concerns['row']) ? $judged->rows[(int) $concerns['row']] : null;
        $line = isset($concerns['line']) ? (string) $concerns['line'] : null;
        $item = isset($concerns['item']) ? (string) $concerns['item'] : null;
        $name = $item === null ? '' : $this->catalogue->name($item);
        $where = $row === null ? $name : $this->described($name, $row);
        $until = $row?->expires === null ? '' : self::date((string) PrintedDate::of($row->expires)->lastGoodDay);
        [$text, $todo, $job] = match ($finding->kind) {
            FindingKind::Short => [$this->shortage($judged, (string) $line), $this->toRestock($judged, (string) $line), 'restock'],
            FindingKind::Expired => ["{$where} ran out on {$until}", 'Take it out and put in a new one.', 'restock'],
            FindingKind::DateUnknown => ["{$where} has no date, so nobody can say whether it is still good", 'Read the date on the pack at the next check, or replace it.', 'check'],
            FindingKind::ExpiresEarly => ["{$where} runs out {$until}, before the next check", $finding->severity === Severity::Fix ? 'Replace it now, or check again before that day.' : 'Not needed for any line; move it where it is used sooner.', 'restock'],
            FindingKind::Opened => ["{$where} is opened", 'Replace it.', 'restock'],
            FindingKind::Damaged => ["{$where} is damaged", 'Replace it.', 'restock'],
            FindingKind::Soiled => ["{$where} has a soiled or torn wrapper", 'Replace it, though it may be in date.', 'restock'],
            FindingKind::Failed => ["{$where} failed its test", 'Replace it.', 'restock'],
            FindingKind::Excluded => ["{$where} is of a class that the list keeps out", 'Take it out.', 'restock'],
            FindingKind::BeyondScope => ["{$name} is beyond what those who have this kit may use", 'Take it out, or place the kit with somebody who is trained for it.', 'none'],
            FindingKind::Unpaired => ["{$name} lacks what it only works with: ".$this->companions($judged, (string) $item), 'Put the missing piece beside it.', 'restock'],
            FindingKind::Superseded => ["{$name} is an outdated model", 'Replace it when it is used or runs out.', 'none'],
            FindingKind::Surplus => ["{$name}: more is there than any line asks for", 'Take the rest to the store, or leave it.', 'none'],
            FindingKind::Overweight => ["The kit weighs {$judged->judgement->mass} g, more than the {$judged->plan->maxMass} g that it may", 'Take out what no line asks for.', 'none'],
        };

        return new Reason($finding->kind->value, $finding->severity->value, $text, $todo, $job, $line, $item, isset($concerns['row']) ? (int) $concerns['row'] : null, $row->pocketId ?? ($line === null ? null : $judged->plan->line($line)->pocketId));
    }

    /** "Medium dressing (lot K77)" */
    private function described(string $name, ContentRow $row): string
    {
        return $row->lot === null ? $name : "{$name} (lot {$row->lot})";
    }

    private function shortage(Judged $judged, string $line): string
    {
        $outcome = $this->outcome($judged, $line);
        $planned = $judged->plan->line($line);
        $effective = is_int($outcome->effective) ? (string) $outcome->effective : (string) $outcome->effective;
        $required = is_int($outcome->required) ? (string) $outcome->required : ($outcome->required->text ?: (string) $outcome->required);
        $reserve = $outcome->reserve ? ", and {$outcome->reserve} past their date as reserve" : '';

        return "{$planned->need}: {$effective} of {$required}{$reserve}";
    }

    private function toRestock(Judged $judged, string $line): string
    {
        foreach ($judged->judgement->restock as $restock) {
            if ($restock->line === $line) {
                $what = $restock->item === null ? "anything of class {$restock->class} that fits" : $this->catalogue->name($restock->item);

                return "Put in {$restock->quantity} × {$what}.";
            }
        }

        return 'Restock this line.';
    }

    private function companions(Judged $judged, string $item): string
    {
        foreach ($judged->judgement->assignment->items as $known) {
            if ($known->code === $item) {
                $sets = array_map(fn ($need): string => implode(' or ', array_map($this->catalogue->name(...), $need->anyOf)), $known->needs);

                return implode(', and ', $sets);
            }
        }

        return '';
    }

    private function outcome(Judged $judged, string $line): LineOutcome
    {
        foreach ($judged->judgement->lines as $outcome) {
            if ($outcome->line->id === $line) {
                return $outcome;
            }
        }

        throw new \OutOfBoundsException("There is no line {$line}.");
    }
}
