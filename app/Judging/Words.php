<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Advice\Action;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Advice\Advised;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Lists\Accepted;

/** Says a judgement in words: the sentence of the verdict, its reasons, and what to do about each. */
final class Words
{
    private const PEOPLE_OR_LIST = 'Post a first aider who is, or change the list.';

    public function __construct(private readonly Catalogue $catalogue, private readonly KitFacts $facts)
    {
    }

    public static function word(Verdict $verdict): string
    {
        return match ($verdict) {
            Verdict::Ready => 'Ready',
            Verdict::ReadyWithActions => 'Ready, actions due',
            Verdict::NoRequirement => 'No requirement set',
            Verdict::Limited => 'Limited',
            Verdict::NotChecked => 'Not checked yet',
            Verdict::NotReady => 'Not ready',
        };
    }

    /**
     * The reasons, gravest first.
     *
     * @return list<Reason>
     */
    public function reasons(Judged $judged): array
    {
        $reasons = array_map(fn (Advised $advised): Reason => $this->reason($judged, $advised), (new Advice($judged->judgement))->findings());
        usort($reasons, static fn (Reason $one, Reason $other): int => $one->order() <=> $other->order());

        return $reasons;
    }

    public function due(Due $due): string
    {
        return $due->day === null ? 'No check is planned.' : self::check((string) $due->day, (string) $due->kind, (string) $due->because);
    }

    public static function check(string $day, string $kind, string $because): string
    {
        return ($kind === 'quick' ? 'Quick check' : 'Full check').' on '.self::date($day).', because '.self::because($because).'.';
    }

    private static function because(string $because): string
    {
        return match ($because) {
            'first' => 'it was never checked',
            'seal' => 'its seal is broken',
            'use' => 'it was used',
            'expiry' => 'something in it expires',
            'season' => 'the season begins',
            'interval' => 'its check interval ends then',
            'event' => 'it goes out to an event',
            Due::REPORT => 'pieces were reported used',
            Due::RECHECK => 'no check has counted its contents since they changed',
            Due::SEAL_DOUBT => 'the number on its seal was not the one on record',
            default => 'two counts disagree',
        };
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

    /** What was found, as facts: with names and dates as they read now. */
    public function fact(Judged $judged, Finding $finding): CheckFinding
    {
        $row = $finding->index === null ? null : $judged->judgedRows[$finding->index];
        $line = $finding->line === null ? null : $judged->plan->line($finding->line->id);
        if ($finding->kind->isOfKit() || $finding->kind->isReported()) {
            return $this->facts->ofDoubtOrKit($judged, $finding);
        }
        [$quantity, $detail] = match ($finding->kind) {
            FindingKind::Short => $this->shortage($judged, $finding),
            FindingKind::Unpaired => [null, $this->companions($judged, (string) $finding->item?->code)],
            default => [$row?->quantity, null],
        };

        return new CheckFinding(
            $finding->kind->value,
            $finding->severity->value,
            $line?->code(),
            $line->need ?? ($finding->item === null ? null : $this->catalogue->name($finding->item->code)),
            $finding->item?->code,
            $row?->lot,
            $row?->expires,
            $row?->expires === null ? null : (string) PrintedDate::of($row->expires)->lastGoodDay,
            $row === null ? null : $judged->plan->pockets[$row->pocketId]->name ?? null,
            $quantity,
            $detail === null ? null : mb_substr($detail, 0, 300),
        );
    }

    /** @return list<CheckFinding> the findings that ask for something, gravest first */
    public function facts(Judged $judged): array
    {
        $facts = array_map(fn (Finding $finding): CheckFinding => $this->fact($judged, $finding), array_values(array_filter(
            $judged->judgement->findings,
            static fn (Finding $finding): bool => $finding->severity !== Severity::Note,
        )));
        $grave = static fn (CheckFinding $fact): int => $fact->severity === Severity::Stop->value ? 0 : 1;
        usort($facts, static fn (CheckFinding $one, CheckFinding $other): int => $grave($one) <=> $grave($other));

        return $facts;
    }

    /** What was found, in words. */
    public static function found(CheckFinding $fact): string
    {
        $what = $fact->lotNumber === null ? (string) $fact->subject : "{$fact->subject} (lot {$fact->lotNumber})";
        $until = $fact->goodUntil === null ? '' : self::date($fact->goodUntil);

        return match (FindingKind::from($fact->kind)) {
            FindingKind::Short => "{$fact->subject}: {$fact->detail}".($fact->quantity > 0 ? ", and {$fact->quantity} expired, kept as reserve" : ''),
            FindingKind::Expired => "{$what} expired on {$until}",
            FindingKind::DateUnknown => "{$what} has no expiry date on record",
            FindingKind::ExpiresEarly => "{$what} expires {$until}, before the next check",
            FindingKind::Opened => "{$what} is opened",
            FindingKind::Damaged => "{$what} is damaged",
            FindingKind::Soiled => "{$what} is soiled, or its wrapper is torn",
            FindingKind::Failed => "{$what} failed its function test",
            FindingKind::Excluded => "{$what} is of a class that the list excludes",
            FindingKind::BeyondScope => "{$fact->subject} is outside the scope of practice of this kit's users",
            FindingKind::Unpaired => "{$fact->subject} is missing a required companion item: {$fact->detail}",
            FindingKind::Superseded => "{$fact->subject} is an outdated model",
            FindingKind::Surplus => "{$fact->subject}: more pieces than the list asks for",
            FindingKind::MostlyMissing => "No usable piece for {$fact->quantity} of {$fact->detail}",
            FindingKind::Recalled => "{$what} is recalled",
            FindingKind::Repacking => "{$fact->subject} has been repacking ".($fact->detail ?? 'this kit')." since {$until}. Pieces may be out of it",
            FindingKind::Seal => "The seal number read on {$until} is not the one on record",
            FindingKind::Unchecked => 'Nobody has checked '.($fact->detail ?? 'this kit').' in full',
            FindingKind::Overdue => $fact->severity === Severity::Stop->value
                ? "The check is too long overdue: it was due on {$until}"
                : "The check was due on {$until}",
            FindingKind::Disputed => $fact->detail === KitFacts::MOVED
                ? "Pieces were moved while {$fact->subject} checked this kit on {$until}"
                : "The check by {$fact->subject} of {$until} disagrees with another count",
            FindingKind::ReportedUsed => "Reported used on {$until}, unconfirmed: {$fact->quantity} × {$fact->subject}",
            FindingKind::Unprepared => "{$fact->subject} in {$fact->pocket} is unprepared: {$fact->detail}",
            FindingKind::Overweight => "The kit weighs {$fact->quantity} g of at most {$fact->detail}",
        };
    }

    /**
     * What mends a finding, in words.
     *
     * @param  string  $restock  what is to be put in for a line that is short
     */
    public static function toDo(FindingKind $kind, Action $action, string $restock = ''): string
    {
        return match ($kind) {
            FindingKind::Short => match ($action) {
                Action::People => 'Nobody on this shift is qualified to use it. '.self::PEOPLE_OR_LIST,
                Action::List => 'The list excludes every item that this line accepts. Change the line or the list.',
                default => $restock,
            },
            FindingKind::Expired => $action === Action::Remove ? 'Remove it.' : 'Remove it and put in a new one.',
            FindingKind::DateUnknown => 'Read the date on the pack at the next check, or replace it.',
            FindingKind::ExpiresEarly => $action === Action::Restock ? 'Replace it now, or check again before that day.'
                : 'No line needs it: move it to where it is used sooner.',
            FindingKind::Opened, FindingKind::Damaged, FindingKind::Failed,
            FindingKind::Recalled => $action === Action::Remove ? 'Remove it.' : 'Replace it.',
            FindingKind::Soiled => $action === Action::Remove ? 'Remove it.' : 'Replace it, even if it is in date.',
            FindingKind::Excluded => 'Remove it.',
            FindingKind::BeyondScope => $action === Action::Remove
                ? 'Remove it: it must not be at hand where nobody may use it. Or post somebody who is trained for it.'
                : 'Nobody on this shift is qualified to use it. '.self::PEOPLE_OR_LIST,
            FindingKind::Unpaired => 'Put the missing item beside it.',
            FindingKind::Superseded => 'Replace it when it is used or expires.',
            FindingKind::Surplus => 'Return the rest to the store, or leave it.',
            FindingKind::MostlyMissing => 'Fill the kit from the restock list, or take it out of service.',
            FindingKind::Overweight => 'Remove items that no line asks for, or use a lighter bag.',
            FindingKind::Repacking => 'Finish the repack, or end it.',
            FindingKind::Seal => 'Do a full check.',
            FindingKind::Unchecked, FindingKind::Overdue => 'Check it.',
            FindingKind::Disputed => 'Do a full check. Its count settles the difference.',
            FindingKind::ReportedUsed => 'Confirm the report, or reject it with a reason.',
            FindingKind::Unprepared => 'Prepare it, and record that below.',
        };
    }

    private function reason(Judged $judged, Advised $advised): Reason
    {
        $finding = $advised->finding;
        $line = $finding->line === null ? null : $judged->plan->line($finding->line->id);
        $put = $finding->kind === FindingKind::Short ? $this->toRestock($judged, (string) $line?->code()) : '';
        $action = $put === '' ? $advised->action : Action::Restock;
        // Removing is done on the restock list; who is posted, and what the list says, is for leads.
        $job = match ($action) {
            Action::Restock => 'restock',
            Action::Remove => $finding->index !== null || $judged->takesOut((string) $finding->item?->code) ? 'restock' : 'none',
            Action::Check => 'check',
            Action::Report => 'report',
            Action::Repack => 'build',
            Action::People => 'people',
            Action::Leave, Action::Prepare, Action::List => 'none',
        };

        return new Reason(
            $finding->kind->value,
            $finding->severity->value,
            self::found($this->fact($judged, $finding)),
            self::toDo($finding->kind, $action, $put),
            $job,
            $line?->code(),
            $finding->item?->code,
            $finding->index,
            $finding->index === null ? $line?->pocketId : $judged->judgedRows[$finding->index]->pocketId,
        );
    }

    /** @return array{int|null, string} pieces kept as reserve, and how many there are of how many */
    private function shortage(Judged $judged, Finding $finding): array
    {
        $outcome = $this->outcome($judged, (string) $finding->line?->id);
        $required = is_int($outcome->required) ? (string) $outcome->required : ($outcome->required->text ?: (string) $outcome->required);

        $beyond = Advice::beyondScope($judged->judgement->assignment)[$outcome->line->id] ?? 0;
        $more = $beyond === 0 ? '' : ", and {$beyond} that nobody on this shift is qualified to use";

        return [$outcome->reserve, "{$outcome->effective} of {$required}{$finding->inPart()}{$more}"];
    }

    /** What is to be put in for the line, whoever is posted; failing that, what those may use who are: nothing where neither helps. */
    private function toRestock(Judged $judged, string $line): string
    {
        foreach ([...$judged->advice()->wanted(), ...(new Advice($judged->judgement))->wanted()] as $want) {
            if ($want->line?->id === $line) {
                $classes = array_filter(array_map(static fn (Accepted $one): ?string => $one->class?->name, $want->line->accepts));

                return "Put in {$want->pieces} × ".
                    ($want->item === null ? 'any suitable item of class '.reset($classes) : $this->catalogue->name($want->item)).'.';
            }
        }

        return '';
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
