<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\Support\PacksDesigns;
use Tests\TestCase;

/** A design is packed: what it makes, what is wrong with it, two who pack at once, and what it changes in its kits. */
final class PackingTest extends TestCase
{
    use PacksDesigns;

    public function test_a_design_read_as_a_draft_and_published_again_is_the_same(): void
    {
        foreach (DB::table('designs')->whereNull('retired_on')->orderBy('code')->pluck('id', 'code') as $code => $id) {
            $start = $this->draftOf((string) $id);
            $this->assertSame([], $this->foresee($start)['faults'], "{$code} has no faults");
            $this->publish((string) $id, $start)->assertOk();
            $again = $this->draftOf((string) $id);
            $this->assertSame($start['number'] + 1, $again['number']);
            $this->assertEquals($start['draft'], $again['draft'], (string) $code);
        }
    }

    public function test_what_is_wrong_is_said_and_nothing_is_published(): void
    {
        $start = $this->draftOf($this->design('walk-pouch'));
        $id = $this->design('walk-pouch');
        $wrong = function (callable $change) use ($start, $id): string {
            $draft = $start;
            $change($draft['draft']);
            $faults = $this->foresee($draft)['faults'];
            $refused = $this->publish($id, $draft)->assertUnprocessable()->json('errors.draft');
            $this->assertSame($faults, $refused, 'It is refused for what was said while packing.');

            return implode(' ', $faults);
        };
        $this->assertStringContainsString('has no pocket', $wrong(static function (array &$draft): void {
            array_pop($draft['placements']);
        }));
        $this->assertStringContainsString('say how many of it lie in each', $wrong(static function (array &$draft): void {
            $draft['placements'][] = [...$draft['placements'][0], 'compartment' => $draft['placements'][5]['compartment']];
        }));
        $this->assertStringContainsString('are put into pockets', $wrong(static function (array &$draft): void {
            $draft['placements'][0]['quantity'] = 999;
        }));
        $this->assertStringContainsString('is there twice', $wrong(static function (array &$draft): void {
            $draft['compartments'][2]['name'] = $draft['compartments'][1]['name'];
        }));
        $this->assertStringContainsString('lies too deep', $wrong(function (array &$draft): void {
            foreach ([1, 2] as $level) {
                $draft['compartments'][] = [...$draft['compartments'][1], 'id' => $this->ulid(), 'name' => "Deep {$level}",
                    'parent_id' => $level === 1 ? $draft['compartments'][1]['id'] : end($draft['compartments'])['id']];
            }
        }));
        $this->assertStringContainsString('at most 30 pockets', $wrong(function (array &$draft): void {
            for ($number = 1; $number <= 30; $number++) {
                $draft['compartments'][] = [...$draft['compartments'][1], 'id' => $this->ulid(), 'name' => "More {$number}"];
            }
        }));
        $this->assertSame($start['number'], $this->draftOf($id)['number']);
    }

    public function test_compartments_lie_in_something_and_in_this_design(): void
    {
        $start = $this->draftOf($this->design('walk-pouch'));
        $loose = $start;
        $loose['draft']['compartments'][1]['parent_id'] = $loose['draft']['compartments'][1]['id'];
        $this->postJson('/api/designs/foresight', ['draft' => $loose['draft']])->assertUnprocessable()
            ->assertJsonPath('errors', fn (array $errors): bool => str_contains(json_encode($errors) ?: '', 'lies in nothing that is there'));
        // The pockets of another design are its own.
        $this->publish($this->ulid(), [...$start, 'edition' => null, 'name' => 'Copied'])->assertUnprocessable()
            ->assertJsonPath('errors.draft.0', fn (string $text): bool => str_contains($text, 'belongs to another design'));
    }

    public function test_two_leads_at_once_join_what_they_changed(): void
    {
        $id = $this->design('walk-pouch');
        $mine = $theirs = $base = $this->draftOf($id);
        $theirs['draft']['compartments'][1]['name'] = 'At the top';
        $theirs['draft']['policy']['max_mass_g'] = 975;
        $theirs['draft']['policy']['margin_days'] = 20;
        $this->publish($id, $theirs)->assertOk();
        $mine['draft']['compartments'][2]['closure'] = 'flap';
        $mine['draft']['policy']['margin_days'] = 21;
        $this->publish($id, $mine)->assertConflict();
        $joined = $this->postJson("/api/designs/{$id}/merging", ['base' => $base['edition'], 'draft' => $mine['draft']])->assertOk()->json();
        $this->assertSame(['At the top', 'flap', 975, 21], [
            $joined['draft']['compartments'][1]['name'], $joined['draft']['compartments'][2]['closure'],
            $joined['draft']['policy']['max_mass_g'], $joined['draft']['policy']['margin_days'],
        ]);
        $this->assertSame(['The maximum weight: changed.', 'The pocket First grip: changed.'], $joined['taken']);
        $this->assertSame(['The days beyond the next check: both of you changed it. Yours stays.'], $joined['clashes']);
        $this->assertSame('At the top', $joined['theirs']['compartments'][1]['name']);
        $this->publish($id, [...$mine, 'edition' => $joined['edition'], 'draft' => $joined['draft']])->assertOk();
        $this->assertSame($base['number'] + 2, $this->draftOf($id)['number']);
    }

    public function test_a_pocket_that_one_removed_leaves_what_the_other_put_into_it_without_one(): void
    {
        $id = $this->design('walk-pouch');
        $mine = $theirs = $base = $this->draftOf($id);
        $gone = $base['draft']['compartments'][2]['id'];
        $kept = $base['draft']['compartments'][1]['id'];
        $theirs['draft']['compartments'] = array_values(array_filter($theirs['draft']['compartments'], static fn (array $one): bool => $one['id'] !== $gone));
        $theirs['draft']['placements'] = array_map(static fn (array $one): array => $one['compartment'] === $gone ? [...$one, 'compartment' => $kept] : $one, $theirs['draft']['placements']);
        $this->publish($id, $theirs)->assertOk();
        $moved = $mine['draft']['placements'][0]['line'];
        $mine['draft']['placements'][0]['compartment'] = $gone;
        $joined = $this->postJson("/api/designs/{$id}/merging", ['base' => $base['edition'], 'draft' => $mine['draft']])->assertOk()->json();
        $this->assertNotContains($moved, array_column($joined['draft']['placements'], 'line'));
        $this->assertStringContainsString("(line {$moved}) has no pocket.", implode(' ', $this->foresee([...$mine, 'draft' => $joined['draft']])['faults']));
    }

    public function test_before_it_is_published_it_says_what_each_kit_would_have_added_moved_and_removed(): void
    {
        $id = $this->design('walk-pouch');
        $start = $this->draftOf($id);
        $first = $start['draft']['placements'][0];
        $start['draft']['placements'][0]['compartment'] = $start['draft']['placements'][8]['compartment'];
        $start['draft']['additions'][] = [
            'code' => 'A1', 'need' => 'Whistle', 'rank' => 'required', 'quantity' => 1, 'accepts' => [['item' => 'whistle', 'class' => null, 'minima' => []]],
            'anyone_may_use' => false,
        ];
        $start['draft']['placements'][] = [...$first, 'line' => 'A1'];
        $effects = $this->postJson("/api/designs/{$id}/effects", ['design' => $id, 'draft' => $start['draft']])->assertOk()->json();
        $this->assertSame([3, ['QH-13', 'QH-14', 'QH-15']], [$effects['in_all'], array_column($effects['kits'], 'kit')]);
        foreach ($effects['kits'] as $kit) {
            $this->assertContains('Whistle: 0 of 1, to add 1 × Signal whistle', $kit['added']);
            $this->assertNotSame([], $kit['moved']);
            $this->assertGreaterThanOrEqual(10 + $kit['mass_now_g'], $kit['mass_then_g']);
            $this->assertGreaterThanOrEqual(110, $kit['cost']);
        }
        // And so it is once it was published and adopted.
        $this->publish($id, $start)->assertOk();
        $adoption = $this->getJson('/api/kits/QH-13/adoption')->assertOk()->json('effect');
        $this->assertSame($effects['kits'][0], $adoption);
    }

    public function test_loads_reach_and_advice_are_of_what_is_packed(): void
    {
        $id = $this->design('bleeding-set');
        $start = $this->draftOf($id);
        $start['draft']['policy']['max_mass_g'] = 100;
        $seen = $this->foresee($start);
        $whole = $seen['loads'][0];
        $this->assertSame([null, 100, $start['draft']['policy']['empty_mass_g']], [
            $whole['compartment'], $whole['max_mass_g'], $whole['mass_g'] - array_sum(array_column($seen['lines'], 'mass_g')),
        ]);
        $pockets = array_filter($seen['loads'], fn (array $load): bool => in_array($load['compartment'], array_column(array_filter(
            $start['draft']['compartments'], static fn (array $one): bool => $one['parent_id'] === null,
        ), 'id'), true));
        $this->assertSame($whole['mass_g'] - $start['draft']['policy']['empty_mass_g'], array_sum(array_column($pockets, 'mass_g')));
        // Behind two zips, what is critical is too far.
        foreach ([0, 1] as $at) {
            $start['draft']['compartments'][$at]['closure'] = 'zip';
        }
        $behind = array_values(array_filter($this->foresee($start)['advice'], static fn (array $one): bool => $one['kind'] === 'critical_behind'));
        $this->assertNotSame([], $behind);
        $this->assertStringContainsString('behind 2 closures', $behind[0]['text']);
        // Set aside with a reason, it stays so in the next edition.
        $start['draft']['set_aside'] = [['about' => $behind[0]['about'], 'reason' => 'The zips have no teeth left.']];
        $this->publish($id, $start)->assertOk();
        $again = $this->draftOf($id);
        $about = array_column($this->foresee($again)['advice'], 'set_aside', 'about');
        $this->assertSame('The zips have no teeth left.', $about[$behind[0]['about']]);
        $this->putJson("/api/designs/{$id}/policy", ['edition' => $again['edition'], 'margin_days' => 30] + $this->policyOf($again))->assertNoContent();
        $this->assertSame($start['draft']['set_aside'], $this->draftOf($id)['draft']['set_aside'], 'another policy keeps it');
    }

    public function test_a_kit_as_it_stands_is_made_the_pattern(): void
    {
        $pattern = $this->actAs('lead')->getJson('/api/kits/QH-07/pattern')->assertOk()->json();
        $this->assertSame([null, null], [$pattern['design'], $pattern['edition']]);
        $this->assertSame([], $this->foresee($pattern)['faults']);
        $id = $this->ulid();
        $this->publish($id, [...$pattern, 'name' => 'Tree crew, as it is'])->assertOk();
        $this->assertSame('tree-crew-as-it-is', DB::table('designs')->where('id', $id)->value('code'));
        $this->assertSame(
            array_column(array_filter($this->draftOf($this->design('tree-crew'))['draft']['compartments'], static fn (array $one): bool => $one['parent_id'] === null), 'name'),
            array_column(array_filter($this->draftOf($id)['draft']['compartments'], static fn (array $one): bool => $one['parent_id'] === null), 'name'),
        );
    }

    public function test_other_names_by_region_lead_the_finder_to_an_item(): void
    {
        $this->actAs('member');
        $found = fn (string $query): array => array_column($this->getJson('/api/find?q='.rawurlencode($query))->assertOk()->json('found'), 'detail', 'title');
        $this->assertStringStartsWith('Called “headlamp” in North America.', $found('headl')['Head torch']);
        $this->assertStringStartsWith('Called “sling”.', $found('sling')['Triangular bandage']);
        $this->assertArrayNotHasKey('Head torch', $found('lampshade'));
        $item = $this->getJson('/api/items/chest-needle')->assertOk()->json('handling');
        $this->assertNull(collect($this->readKit('QH-07')['verdict']['lines'])->firstWhere('item', 'marker-pen')['told_from'], 'A pen warns of no needle in kits without one.');
        $this->assertSame('Easily confused with “Marker pen, permanent”, and no mark is recorded. Keep them in separate pockets.', app(\App\Catalogue\Catalogue::class)->item('chest-needle')?->told_from);
        $this->assertSame([['item' => 'marker-pen', 'name' => 'Marker pen, permanent', 'by' => null]], $item['told_from']);
    }

    public function test_how_an_item_is_handled_is_changed_with_it_and_stays_where_an_older_page_does_not_say(): void
    {
        $this->actAs('lead');
        $item = $this->getJson('/api/items/whistle')->json();
        $sent = [
            ...array_intersect_key($item, array_flip(['code', 'name', 'class', 'count_unit', 'dated', 'sterile', 'scope', 'reserve', 'purpose', 'caution', 'packs'])),
            'mass' => '10 g', 'measures' => [], 'needs' => [], 'stand_ins' => [], 'base' => $item['revision'],
        ];
        $handling = [
            'layer' => null, 'start_minutes' => null, 'staging' => 'Blow it once', 'keep_dry' => true, 'has_latex' => false, 'bulk_ml' => 25,
            'told_from' => [['item' => 'pen-torch', 'by' => 'the pea in it']], 'names' => [['name' => 'safety whistle', 'region' => null]],
        ];
        $this->putJson('/api/items/whistle', ['handling' => ['told_from' => [['item' => 'whistle', 'by' => 'itself']]] + $handling] + $sent)->assertUnprocessable();
        $this->putJson('/api/items/whistle', ['handling' => ['start_minutes' => 0] + $handling] + $sent)->assertUnprocessable()
            ->assertJsonPath('errors', fn (array $errors): bool => isset($errors['handling.start_minutes']));
        $this->putJson('/api/items/whistle', ['handling' => $handling] + $sent)->assertOk();
        $kept = $this->getJson('/api/items/whistle')->json();
        $this->assertSame(['Blow it once', 25, 'pen-torch', 'safety whistle'], [
            $kept['handling']['staging'], $kept['handling']['bulk_ml'], $kept['handling']['told_from'][0]['item'], $kept['handling']['names'][0]['name'],
        ]);
        $this->putJson('/api/items/whistle', ['base' => $kept['revision'], 'purpose' => 'Calls help'] + $sent)->assertOk();
        $this->assertSame($kept['handling'], $this->getJson('/api/items/whistle')->json('handling'));
    }

    public function test_a_line_that_is_split_is_restocked_into_both_of_its_pockets(): void
    {
        $id = $this->design('walk-pouch');
        $start = $this->draftOf($id);
        $line = collect($this->foresee($start)['lines'])->first(static fn (array $one): bool => $one['pieces'] > 2);
        $at = (int) array_search($line['code'], array_column($start['draft']['placements'], 'line'), true);
        $one = $start['draft']['placements'][$at];
        $other = collect($start['draft']['compartments'])->first(static fn (array $pocket): bool => $pocket['kind'] === 'pocket' && $pocket['id'] !== $one['compartment']);
        $start['draft']['placements'][$at]['quantity'] = $line['pieces'] - 1;
        $start['draft']['placements'][] = [...$one, 'compartment' => $other['id'], 'quantity' => 1];
        $this->publish($id, $start)->assertOk();
        $this->postJson('/api/kits', [
            'id' => $this->ulid(), 'code' => 'QH-77', 'name' => 'Split pouch', 'design_id' => $id, 'place_id' => $this->kit('QH-13')->place_id, 'scope' => 'first_aider',
        ])->assertCreated();
        $shown = collect($this->readKit('QH-77')['verdict']['lines'])->firstWhere('code', $line['code']);
        $this->assertEquals(
            [$one['compartment'] => $line['pieces'] - 1, $other['id'] => 1], array_column($shown['shares'], 'quantity', 'pocket_id'),
        );
        $in = collect($this->getJson("/api/kits/QH-77/restock?store={$this->store()->id}")->assertOk()->json('in'))->where('line', $line['code']);
        $this->assertSame(1, $in->where('pocket_id', $other['id'])->sum('quantity'));
        $this->assertSame($in->sum('quantity') - 1, $in->where('pocket_id', $one['compartment'])->sum('quantity'));
        $this->assertGreaterThan(1, $in->sum('quantity'));
    }

    /**
     * @param  array<string, mixed>  $start
     * @return array<string, mixed>
     */
    private function policyOf(array $start): array
    {
        return array_intersect_key($start['draft']['policy'], array_flip([
            'expiry', 'margin_days', 'grace_days', 'not_ready_after_days', 'every_unit', 'every_count', 'before_events', 'after_use', 'sealed',
        ]));
    }
}
