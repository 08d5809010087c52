<?php

declare(strict_types=1);

namespace Tests\Unit;

use App\Judging\Words;
use App\Ledger\Parts\CheckFinding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Advice\Action;
use Sarcina\Core\Check\FindingKind;

/** The words of every finding, and of what mends it, as they are read on the page, in print and in a signed check. */
final class WordsTest extends TestCase
{
    /**
     * @return iterable<string, array{FindingKind, array<string, mixed>, string, string, Action}> kind, facts, what was found, what to do, the action
     */
    public static function findings(): iterable
    {
        $pad = ['subject' => 'Medium dressing', 'lotNumber' => 'K77', 'expires' => '2026-03', 'goodUntil' => '2026-03-31', 'quantity' => 2];
        $noLot = ['subject' => 'Medium dressing', 'quantity' => 2];
        $line = ['subject' => 'Medium dressing', 'detail' => '3 of 4', 'quantity' => 0];
        yield 'short' => [FindingKind::Short, $line, 'Medium dressing: 3 of 4', 'Put in 1 × Medium dressing.', Action::Restock];
        yield 'short, with reserve' => [
            FindingKind::Short, ['quantity' => 1] + $line, 'Medium dressing: 3 of 4, and 1 expired, kept as reserve',
            'Put in 1 × Medium dressing.', Action::Restock,
        ];
        yield 'short of a total' => [
            FindingKind::Short, ['subject' => 'Tape', 'detail' => '2 m of 5 m'], 'Tape: 2 m of 5 m',
            'Put in 1 × Medium dressing.', Action::Restock,
        ];
        yield 'short for want of people' => [
            FindingKind::Short, $line, 'Medium dressing: 3 of 4',
            'Nobody on this shift is qualified to use it. Post a first aider who is, or change the list.',
            Action::People,
        ];
        yield 'short of what the list excludes' => [
            FindingKind::Short, $line, 'Medium dressing: 3 of 4', 'The list excludes every item that this line accepts. Change the line or the list.',
            Action::List,
        ];
        yield 'expired' => [
            FindingKind::Expired, $pad, 'Medium dressing (lot K77) expired on 31 Mar 2026',
            'Remove it and put in a new one.', Action::Restock,
        ];
        yield 'expired, no lot' => [
            FindingKind::Expired, ['goodUntil' => '2026-03-01'] + $noLot, 'Medium dressing expired on 1 Mar 2026',
            'Remove it and put in a new one.', Action::Restock,
        ];
        yield 'no date' => [
            FindingKind::DateUnknown, $noLot, 'Medium dressing has no expiry date on record',
            'Read the date on the pack at the next check, or replace it.', Action::Check,
        ];
        yield 'early' => [
            FindingKind::ExpiresEarly, $pad, 'Medium dressing (lot K77) expires 31 Mar 2026, before the next check',
            'Replace it now, or check again before that day.', Action::Restock,
        ];
        yield 'early, and not needed' => [
            FindingKind::ExpiresEarly, $pad, 'Medium dressing (lot K77) expires 31 Mar 2026, before the next check',
            'No line needs it: move it to where it is used sooner.', Action::Leave,
        ];
        yield 'opened' => [FindingKind::Opened, $pad, 'Medium dressing (lot K77) is opened', 'Replace it.', Action::Restock];
        yield 'damaged' => [FindingKind::Damaged, $pad, 'Medium dressing (lot K77) is damaged', 'Replace it.', Action::Restock];
        yield 'soiled' => [
            FindingKind::Soiled, $noLot, 'Medium dressing is soiled, or its wrapper is torn',
            'Replace it, even if it is in date.', Action::Restock,
        ];
        yield 'failed' => [FindingKind::Failed, ['subject' => 'Torch'], 'Torch failed its function test', 'Replace it.', Action::Restock];
        yield 'excluded' => [
            FindingKind::Excluded, ['subject' => 'Tablets'], 'Tablets is of a class that the list excludes',
            'Remove it.', Action::Remove,
        ];
        yield 'beyond scope' => [
            FindingKind::BeyondScope, ['subject' => 'Airway'],
            "Airway is outside the scope of practice of this kit's users",
            'Nobody on this shift is qualified to use it. Post a first aider who is, or change the list.', Action::People,
        ];
        yield 'unpaired' => [
            FindingKind::Unpaired, ['subject' => 'Haemostatic gauze', 'detail' => 'Shears or Knife'],
            'Haemostatic gauze is missing a required companion item: Shears or Knife',
            'Put the missing item beside it.', Action::Restock,
        ];
        yield 'superseded' => [
            FindingKind::Superseded, ['subject' => 'Old mask'], 'Old mask is an outdated model',
            'Replace it when it is used or expires.', Action::Leave,
        ];
        yield 'surplus' => [
            FindingKind::Surplus, ['subject' => 'Plasters'], 'Plasters: more pieces than the list asks for',
            'Return the rest to the store, or leave it.', Action::Leave,
        ];
        yield 'mostly missing' => [
            FindingKind::MostlyMissing, ['quantity' => 5, 'detail' => '7 required lines'],
            'No usable piece for 5 of 7 required lines', 'Fill the kit from the restock list, or take it out of service.', Action::Restock,
        ];
        yield 'overweight' => [
            FindingKind::Overweight, ['quantity' => 4200, 'detail' => '4000 g'],
            'The kit weighs 4200 g of at most 4000 g', 'Remove items that no line asks for, or use a lighter bag.', Action::Remove,
        ];
        yield 'expired, and replaced already' => [
            FindingKind::Expired, $pad, 'Medium dressing (lot K77) expired on 31 Mar 2026', 'Remove it.', Action::Remove,
        ];
        yield 'recalled' => [FindingKind::Recalled, $pad, 'Medium dressing (lot K77) is recalled', 'Replace it.', Action::Restock];
        $since = ['subject' => 'Maren Oduya', 'goodUntil' => '2026-03-01'];
        yield 'repacking' => [
            FindingKind::Repacking, $since, 'Maren Oduya has been repacking this kit since 1 Mar 2026. Pieces may be out of it',
            'Finish the repack, or end it.', Action::Repack,
        ];
        yield 'seal' => [
            FindingKind::Seal, $since, 'The seal number read on 1 Mar 2026 is not the one on record', 'Do a full check.', Action::Check,
        ];
        yield 'unchecked' => [FindingKind::Unchecked, [], 'Nobody has checked this kit in full', 'Check it.', Action::Check];
        yield 'overdue' => [FindingKind::Overdue, $since, 'The check was due on 1 Mar 2026', 'Check it.', Action::Check];
        yield 'disputed' => [
            FindingKind::Disputed, $since, 'The check by Maren Oduya of 1 Mar 2026 disagrees with another count',
            'Do a full check. Its count settles the difference.', Action::Check,
        ];
        yield 'moved while counting' => [
            FindingKind::Disputed, ['detail' => 'rows'] + $since, 'Pieces were moved while Maren Oduya checked this kit on 1 Mar 2026',
            'Do a full check. Its count settles the difference.', Action::Check,
        ];
        yield 'reported used' => [
            FindingKind::ReportedUsed, ['subject' => 'Burn gel', 'quantity' => 2] + $since, 'Reported used on 1 Mar 2026, unconfirmed: 2 × Burn gel',
            'Confirm the report, or reject it with a reason.', Action::Report,
        ];
        yield 'unprepared' => [
            FindingKind::Unprepared, ['subject' => 'Gloves', 'pocket' => 'Lid', 'detail' => 'Unfold them'], 'Gloves in Lid is unprepared: Unfold them',
            'Prepare it, and record that below.', Action::Prepare,
        ];
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('findings')]
    public function test_it_is_said(FindingKind $kind, array $facts, string $found, string $toDo, Action $action): void
    {
        $fact = new CheckFinding(...[
            'kind' => $kind->value, 'severity' => 'fix', 'line' => null, 'subject' => null, 'itemCode' => null, 'lotNumber' => null, 'expires' => null,
            'goodUntil' => null, 'pocket' => null, 'quantity' => null, 'detail' => null, ...$facts,
        ]);
        $this->assertSame($found, Words::found($fact));
        $this->assertSame($toDo, Words::toDo($kind, $action, 'Put in 1 × Medium dressing.'));
    }

    public function test_every_kind_is_said_here(): void
    {
        $kinds = array_map(static fn (array $case): string => $case[0]->value, iterator_to_array(self::findings()));
        $this->assertEqualsCanonicalizing(
            array_map(static fn (FindingKind $kind): string => $kind->value, FindingKind::cases()),
            array_values(array_unique($kinds)),
        );
    }
}
