<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Catalogue\Models\Item;
use Tests\TestCase;

/** Items and their classes: entered in any unit, kept as entered, and refused where the core would not take them. */
final class CatalogueTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private function gauze(array $but = []): array
    {
        return [...[
            'code' => 'gauze-roll', 'name' => 'Gauze roll', 'class' => 'dressing.gauze-roll', 'count_unit' => 'roll', 'dated' => true, 'sterile' => true, 'mass' => '0.8 oz', 'scope' => 'anyone', 'reserve' => true,
            'purpose' => 'Packs and wraps', 'caution' => null, 'superseded_by' => null, 'storage_min_c' => 5, 'storage_max_c' => 25, 'opened_life' => 3, 'opened_life_unit' => 'months', 'allergy' => 'Cotton.',
            'measures' => [
                ['measure' => 'length', 'quantity' => '4.5 yd'], ['measure' => 'width', 'quantity' => '4.75 in'],
            ], 'packs' => [['pieces' => 1, 'price' => 90], ['pieces' => 12, 'price' => 800]],
            'needs' => [[
                'any_of' => ['shears', 'scissors'], 'per' => 'kit', 'quantity' => 1, 'reason' => 'It cannot be torn.',
            ]], 'stand_ins' => ['packing-gauze'],
        ], ...$but];
    }

    public function test_an_item_is_kept_as_entered_and_shown_in_the_preferred_units(): void
    {
        $made = $this->actAs('lead')->postJson('/api/items', $this->gauze())->assertCreated()->json();
        $this->assertSame(
            [
                ['measure' => 'length', 'quantity' => '4.5 yd', 'shown' => '411.48 cm'],
                ['measure' => 'width', 'quantity' => '4.75 in', 'shown' => '12.065 cm'],
            ],
            $made['measures'],
        );
        $this->assertSame([23, '23 g'], [$made['mass_g'], $made['mass_shown']]);
        $this->assertSame([['code' => 'packing-gauze', 'name' => 'Compressed packing gauze']], $made['stand_ins']);
        $this->assertSame([], $made['stands_in_for']);
        $this->assertSame(
            ['gauze-roll', 'haemostatic-gauze'],
            array_column($this->getJson('/api/items/packing-gauze')->json('stands_in_for'), 'code'),
        );
        $this->assertSame(['shears', 'scissors'], $made['needs'][0]['codes']);
        $this->assertSame(
            [5, 25, 3, 'months', 'Cotton.', [['pieces' => 1, 'price' => 90], ['pieces' => 12, 'price' => 800]]],
            [$made['storage_min_c'], $made['storage_max_c'], $made['opened_life'], $made['opened_life_unit'], $made['allergy'], $made['packs']],
        );
        $this->assertContains(
            ['class' => 'dressing.gauze-roll', 'title' => 'Gauze roll', 'items' => 1, 'below' => 0, 'excluded_by' => [], 'accepted_by' => [], 'reserve_needs_saying' => false],
            $this->getJson('/api/classes')->json(),
        );

        $this->putJson(
            '/api/organisation',
            ['length_unit' => 'in', 'mass_unit' => 'oz', 'volume_unit' => 'floz', 'currency' => 'USD', 'people_kept_days' => 365],
        )->assertOk();
        $this->app?->forgetScopedInstances();
        $seen = $this->getJson('/api/items/gauze-roll')->json();
        $this->assertSame(['4.5 yd', '4.75 in'], array_column($seen['measures'], 'shown'), 'What was entered in the same system stays as entered.');
        $this->assertSame('0.8113 oz', $seen['mass_shown']);
        $this->assertSame('4.7244 in', $this->getJson('/api/items/dressing-medium')->json('measures.0.shown'));
        $this->assertSame(
            '12 cm',
            $this->getJson('/api/items/dressing-medium')->json('measures.0.quantity'),
            'Nothing is lost by showing it otherwise.',
        );
    }

    public function test_what_is_wrong_is_said_at_its_field_and_nothing_is_kept(): void
    {
        $this->actAs('lead');
        $count = Item::query()->count();
        foreach ([
            ['code', ['code' => 'Gauze Roll']], ['code', ['code' => 'shears']], ['class', ['class' => 'Dressing Gauze']], ['mass', ['mass' => '22']], ['mass', ['mass' => '4 cm']],
            [
                'measures.1.quantity',
                ['measures' => [['measure' => 'length', 'quantity' => '1 m'], ['measure' => 'width', 'quantity' => '12 parsec']]],
            ],
            ['measures', ['measures' => [['measure' => 'width', 'quantity' => '1 m'], ['measure' => 'width', 'quantity' => '2 m']]]],
            [
                'needs.0.any_of',
                ['needs' => [['any_of' => ['no-such'], 'per' => 'kit', 'quantity' => 1, 'reason' => 'x']]],
            ], ['needs.0.reason', ['needs' => [['any_of' => ['shears'], 'per' => 'kit', 'quantity' => 1, 'reason' => '']]]],
            ['stand_ins', ['stand_ins' => ['gauze-roll']]], [
                'storage_max_c', ['storage_min_c' => 30, 'storage_max_c' => 5],
            ], ['opened_life', ['opened_life_unit' => null]],
            [
                'packs', ['packs' => [['pieces' => 5, 'price' => 1], ['pieces' => 5, 'price' => 2]]],
            ], ['colour', ['colour' => 'blue']], ['superseded_by', ['superseded_by' => 'no-such']],
        ] as [$field, $but]) {
            $this->postJson('/api/items', $this->gauze($but))->assertUnprocessable()->assertJsonValidationErrors([$field]);
        }
        $this->assertSame($count, Item::query()->count());
    }

    public function test_a_stale_edit_is_refused_and_a_code_stays(): void
    {
        $made = $this->actAs('lead')->postJson('/api/items', $this->gauze())->json();
        $this->putJson(
            '/api/items/gauze-roll',
            $this->gauze(['base' => $made['revision'], 'name' => 'Gauze roll, long']),
        )->assertOk()->assertJsonPath('name', 'Gauze roll, long');
        $this->putJson(
            '/api/items/gauze-roll',
            $this->gauze(['base' => $made['revision'], 'name' => 'Mine']),
        )->assertConflict()->assertJsonPath('title', 'Changed in the meantime');
        $this->putJson(
            '/api/items/gauze-roll',
            $this->gauze(['base' => 2, 'code' => 'gauze-other']),
        )->assertUnprocessable()->assertJsonValidationErrors(['code']);
        $this->assertSame('Gauze roll, long', $this->getJson('/api/items/gauze-roll')->json('name'));
    }

    public function test_a_change_of_an_item_is_judged_where_it_matters(): void
    {
        $this->actAs('lead');
        $item = $this->getJson('/api/items/haemostatic-gauze')->json();
        $this->assertSame('not_ready', $this->stateOf('QH-07'));
        $before = $this->stateOf('QH-08');
        $this->assertNotSame('not_ready', $before);
        // Now only clinicians may use it: in the climbers' sets it is no longer there, and the line is critical.
        $this->putJson('/api/items/haemostatic-gauze', [
            'base' => $item['revision'], 'code' => $item['code'], 'name' => $item['name'], 'class' => $item['class'], 'count_unit' => $item['count_unit'], 'dated' => true, 'sterile' => true, 'mass' => "{$item['mass_g']} g", 'scope' => 'clinician',
            'reserve' => $item['reserve'], 'purpose' => $item['purpose'], 'caution' => $item['caution'], 'measures' => array_map(
                static fn (array $measure): array => ['measure' => $measure['measure'], 'quantity' => $measure['quantity']],
                $item['measures'],
            ),
            'packs' => $item['packs'], 'needs' => [], 'stand_ins' => [],
        ])->assertOk();
        $this->assertSame('not_ready', $this->stateOf('QH-08'));
    }

    public function test_a_class_gets_a_title_and_says_who_keeps_it_out(): void
    {
        $classes = collect($this->actAs('lead')->putJson('/api/classes/medicine', ['title' => 'Medicines'])->assertOk()->json())->keyBy('class');
        $this->assertSame('Medicines', $classes['medicine']['title']);
        $this->assertSame(0, $classes['medicine']['items']);
        $this->assertGreaterThan(3, $classes['medicine']['below']);
        $this->assertContains('Sideline bag', $classes['medicine']['excluded_by']);
        $this->putJson('/api/classes/no.such', ['title' => 'x'])->assertNotFound();
        $this->putJson('/api/classes/medicine', ['title' => ''])->assertUnprocessable();
    }

    public function test_settings_that_make_no_sense_are_refused(): void
    {
        $good = ['length_unit' => 'cm', 'mass_unit' => 'g', 'volume_unit' => 'ml', 'currency' => 'EUR', 'people_kept_days' => 30];
        foreach ([['length_unit' => 'parsec'], ['currency' => 'euro'], ['people_kept_days' => -1], ['mass_unit' => null]] as $but) {
            $this->actAs('lead')->putJson('/api/organisation', [...$good, ...$but])->assertUnprocessable();
        }
        $this->putJson('/api/organisation', $good)->assertOk();
        $this->assertSame('EUR', Organisation::current()->currency);
    }

    private function stateOf(string $kit): string
    {
        $this->app?->forgetScopedInstances();

        return (string) collect($this->getJson('/api/kits')->json('kits'))->firstWhere('code', $kit)['verdict'];
    }
}
