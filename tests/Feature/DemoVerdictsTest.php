<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** One kit of the demo data for each clause that keeps a wrong "ready" out, with the verdict that was worked out by hand. */
final class DemoVerdictsTest extends TestCase
{
    /** @return iterable<string, array{string, string, string|null}> kit, verdict and what its reasons say */
    public static function kits(): iterable
    {
        // Its tourniquet is for first aiders and nobody is posted at the gate; its line is for anyone. All lines are met.
        yield 'a public station' => ['QH-G1', 'ready', null];
        // Tape is good for twelve months once opened; it was opened 40 days ago: 1 of 1.
        yield 'a roll in use' => ['QH-G2', 'ready', null];
        // All six lines are met; the practice piece never counts and has to leave: one action.
        yield 'a practice piece left in a bag' => ['QH-G3', 'ready_with_actions', 'Training tourniquet, blue (lot L430) is of a class that the list excludes'];
        // Both critical lines are short, and of all four required lines nothing is there.
        yield 'an emptied bag' => ['QH-G4', 'not_ready', 'No usable piece for 4 of 4 required lines'];
        // The first look found everything, the second no tourniquet, and nobody knows which came first: the worse of both.
        yield 'two checks that disagree' => ['QH-G5', 'not_ready', 'disagree'];
        // Packed nine months ago from a pick list, and never checked: whatever is in it, nobody has looked.
        yield 'a kit that nobody checked' => ['QH-G6', 'not_checked', 'Nobody has checked this kit in full'];
        // Checked 250 days ago every 3 months: due about 160 days ago, and not ready once it was overdue by another 3 months.
        yield 'a kit that is overdue for too long' => ['QH-G7', 'not_ready', 'The check is too long overdue'];
        // Its only tourniquet is of the recalled lot.
        yield 'a recalled tourniquet' => ['QH-G8', 'not_ready', 'Windlass tourniquet (lot R4410) is recalled'];
        // Its three lines are optional: all are met, and nothing says what it would have to hold.
        yield 'a tin without a requirement' => ['QH-18', 'no_requirement', 'its list asks for nothing that is critical or required'];
        // By day a trained climber is posted; on Friday and Saturday evening a first aider alone: four pieces for trained people do not count.
        yield 'an evening without anybody trained' => ['QH-09', 'not_ready', null];
    }

    #[DataProvider('kits')]
    public function test_the_verdict_is_the_one_worked_out_by_hand(string $code, string $verdict, ?string $says): void
    {
        $kit = $this->actAs('lead')->readKit($code);
        $this->assertSame($verdict, $kit['verdict']['verdict'], implode("\n", array_column($kit['verdict']['reasons'], 'text')));
        if ($says !== null) {
            $this->assertStringContainsString($says, $kit['verdict']['sentence'].implode("\n", array_column($kit['verdict']['reasons'], 'text')));
        }
    }

    public function test_the_practice_piece_is_taken_out_and_nothing_is_advised_away_for_want_of_training(): void
    {
        $out = $this->actAs('keeper')->getJson('/api/kits/QH-G3/restock')->assertOk()->json('out');
        $this->assertSame([['tourniquet-trainer', 'excluded']], array_map(static fn (array $row): array => [$row['item'], $row['because']], $out));
        $this->assertSame([], $this->getJson('/api/kits/QH-09/restock')->json('out'));
        $shifts = collect($this->readKit('QH-09')['verdict']['shifts'])->pluck('verdict', 'shift')->all();
        $this->assertSame(['day' => 'ready', 'evening' => 'not_ready'], $shifts);
    }
}
