<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\Support\PacksDesigns;
use Tests\TestCase;

/** What is refused of a draft, in words; and that one edition is published once, as it was sent. */
final class PublishDraftTest extends TestCase
{
    use PacksDesigns;

    public function test_pockets_that_lie_over_each_other_and_marks_for_lines_that_are_not_there_are_said(): void
    {
        $start = $this->draftOf($id = $this->design('walk-pouch'));
        $pockets = array_keys(array_filter($start['draft']['compartments'], static fn (array $one): bool => $one['parent_id'] !== null));
        [$one, $other] = $pockets;
        $over = $start;
        $over['draft']['compartments'][$other] = [
            ...$over['draft']['compartments'][$other], ...array_intersect_key(
                $over['draft']['compartments'][$one], array_flip(['parent_id', 'row', 'column', 'row_span', 'column_span']),
            ),
        ];
        $said = implode(' ', $this->foresee($over)['faults']);
        $this->assertStringContainsString($start['draft']['compartments'][$one]['name'], $said);
        $this->assertStringContainsString($start['draft']['compartments'][$other]['name'], $said);
        $this->publish($id, $over)->assertUnprocessable();
        $marked = $start;
        $marked['draft']['compartments'][$one]['looked_for'] = ['L999'];
        $this->assertStringContainsString('L999', implode(' ', $this->foresee($marked)['faults']));
        $this->publish($id, $marked)->assertUnprocessable();
        $this->assertSame($start['number'], $this->draftOf($id)['number']);
    }

    public function test_a_line_that_a_design_adds_is_sound_or_is_refused(): void
    {
        $start = $this->draftOf($id = $this->design('walk-pouch'));
        $line = [
            'code' => 'A7', 'need' => 'Calls help', 'rank' => 'optional', 'quantity' => 1, 'total_measure' => null, 'total_quantity' => null,
            'accepts' => [['item' => 'whistle', 'class' => null, 'minima' => []]], 'reason' => null, 'anyone_may_use' => true,
        ];
        $with = function (array $change) use ($start, $line): array {
            $draft = $start;
            $draft['draft']['additions'][] = [...$line, ...$change];
            $draft['draft']['placements'][] = [
                'line' => 'A7', 'compartment' => $start['draft']['placements'][0]['compartment'], 'quantity' => null, 'from_day' => null, 'waits_for' => null,
            ];

            return $draft;
        };
        foreach ([
            'without an amount' => ['quantity' => null],
            'with a total that is none' => ['quantity' => null, 'total_measure' => 'length', 'total_quantity' => 'a lot'],
            'of an item that is not there' => ['accepts' => [['item' => 'no-such-item', 'class' => null, 'minima' => []]]],
            'that accepts nothing' => ['accepts' => []],
        ] as $why => $change) {
            $this->publish($id, $with($change))->assertUnprocessable()
                ->assertJsonPath('errors', fn (array $errors): bool => array_filter(
                    array_keys($errors), static fn (string $field): bool => str_starts_with($field, 'draft'),
                ) !== []);
            $this->assertSame($start['number'], $this->draftOf($id)['number'], $why);
        }
        $this->publish($id, $with([]))->assertOk();
        $this->assertContains('A7', array_column($this->draftOf($id)['draft']['additions'], 'code'));
    }

    public function test_an_edition_is_published_once_as_it_was_sent(): void
    {
        $start = $this->draftOf($id = $this->design('walk-pouch'));
        $edition = $this->ulid();
        $start['draft']['policy']['margin_days'] += 3;
        $first = $this->publish($id, $start, $edition)->assertOk()->json('number');
        $this->assertSame($first, $this->publish($id, $start, $edition)->assertOk()->json('number'), 'the same twice is one edition');
        $this->assertSame($start['number'] + 1, $this->draftOf($id)['number']);
        // Changed since it was sent, under the same id: it is not taken for what was sent.
        $changed = $start;
        $changed['draft']['policy']['margin_days'] += 1;
        $this->publish($id, $changed, $edition)->assertConflict();
        $this->assertSame($start['draft']['policy']['margin_days'], $this->draftOf($id)['draft']['policy']['margin_days']);
        $other = $this->draftOf($this->design('tree-crew'));
        $this->publish($this->design('tree-crew'), $other, $edition)->assertUnprocessable();
    }

    public function test_what_was_left_behind_and_missed_is_said_where_it_may_be_left_out(): void
    {
        $start = $this->draftOf($id = $this->design('walk-pouch'));
        $offer = $this->foresee($start)['leave_out'][0] ?? $this->fail('Nothing may be left out.');
        $this->assertSame([], $offer['missed']);
        $note = ['item' => $offer['item'], 'left_on' => '2026-05-03', 'note' => 'A long walk for it'];
        foreach ([['left_on' => '2099-01-01'], ['left_on' => '3 May'], ['note' => ''], ['item' => 'no-such-item']] as $wrong) {
            $this->putJson("/api/designs/{$id}/missed/{$this->ulid()}", [...$note, ...$wrong])->assertUnprocessable();
        }
        $remark = $this->ulid();
        foreach ([1, 2] as $time) {
            $this->putJson("/api/designs/{$id}/missed/{$remark}", $note)->assertNoContent();
        }
        $missed = $this->foresee($start)['leave_out'][0]['missed'];
        $this->assertSame([['Left behind on 3 May 2026, then missed: A long walk for it', 'Maren Oduya']], array_map(
            static fn (array $one): array => [$one['text'], $one['by']], $missed,
        ));
        $this->putJson("/api/designs/{$this->design('tree-crew')}/missed/{$remark}", $note)->assertUnprocessable();
        $this->deleteJson("/api/designs/{$id}/missed/{$remark}")->assertNoContent();
        $this->assertSame([], $this->foresee($start)['leave_out'][0]['missed']);
    }

    public function test_a_line_that_answers_a_hazard_of_the_kits_places_says_so_and_is_offered_last(): void
    {
        $start = $this->draftOf($this->design('walk-pouch'));
        $hazards = array_column($this->foresee($start)['leave_out'], 'hazards', 'item');
        $this->assertSame(['bites and stings in Grounds, walks and vehicles'], $hazards['tick-remover']);
        $this->assertSame('tick-remover', array_key_last($hazards));
        DB::table('assessment_area_risks')->where('risk', 'bite_sting')->delete();
        $this->assertSame([], array_column($this->foresee($start)['leave_out'], 'hazards', 'item')['tick-remover'], 'Nothing bites there any more.');
    }

    public function test_wrappers_are_advised_by_the_school_that_the_design_follows(): void
    {
        $start = $this->draftOf($this->design('bleeding-set'));
        $said = function (?string $school) use ($start): array {
            $draft = $start;
            $draft['draft']['policy']['wrappers'] = $school;
            $draft['draft']['set_aside'] = [];

            return array_column(array_filter($this->foresee($draft)['advice'], static fn (array $one): bool => $one['kind'] === 'wrapper_left'), 'text');
        };
        $this->assertSame([], $said('off'));
        $this->assertStringContainsString('before it is packed, or say for this design that wrappers stay on', implode(' ', $said(null)));
        $this->assertStringContainsString('stays wrapped, as this design says', implode(' ', $said('on')));
        $this->assertStringNotContainsString('unfold the gloves', implode(' ', $said('on')), 'gloves have no wrapper');
        $this->assertNotSame([], DB::table('items')->where('unwraps', true)->pluck('code')->all());
    }
}
