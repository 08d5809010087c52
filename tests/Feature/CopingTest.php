<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Cope\ShippedEmergencies;
use App\Designs\Models\Design;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** For how many casualties the demo's kits have supplies, beside what was worked out by hand; what is counted with is a lead's to change and confirm. */
final class CopingTest extends TestCase
{
    public function test_the_emergencies_of_the_demos_kits_as_worked_by_hand(): void
    {
        // Desk box: 9 gloves, 2 burn dressings of 10 cm, 2 conforming bandages and 3 triangular, 2 foil blankets, 3 eye pads, 1 face shield (not breathing takes two, since helpers change), and no
        // tourniquet, eye wash, cold pack or tweezers. Fracture: 5 bandages for sling and hold make two; a third lacks one of six, and a blanket.
        $this->assertCoping('QH-01', [
            'severe-limb-bleeding' => [0, null, ['stop']], 'chest-wound' => [0, 'scope', []], 'small-burn' => [2, null, ['cover']],
            'large-burn' => [0, null, ['cover']], 'not-breathing' => [0, null, ['barrier']], 'choking' => [1, null, ['barrier']],
            'fracture' => [2, null, ['support', 'hold', 'warm']], 'sprain' => [0, null, ['cool', 'support']], 'eye-splash' => [0, null, ['rinse']], 'eye-dust' => [0, null, ['rinse']],
            'allergic-reaction' => [0, 'scope', []], 'splinter' => [0, null, ['take-out']], 'head-knock' => [0, null, ['cool']],
        ]);
        // Burns box: 3 dressings of 20 cm and a roll of film, 1 conforming and 2 triangular bandages, 1 foil blanket.
        $this->assertCoping('QH-05', ['small-burn' => [3, null, ['hold']], 'large-burn' => [1, null, ['warm']], 'fracture' => [1, null, ['support', 'hold', 'warm']]]);
        // Climber's set: one of each, and shears that serve all.
        $this->assertCoping('QH-08', ['severe-limb-bleeding' => [1, null, ['gloves', 'stop', 'press']], 'chest-wound' => [0, null, ['seal']]]);
    }

    public function test_a_public_station_answers_for_bystanders(): void
    {
        // The tourniquet needs a first aider's scope, but lies on a line that is open to anyone; gloves, bandage and shears are for anyone.
        $station = $this->coping('QH-G1');
        $this->assertSame([1, null], [$station['severe-limb-bleeding']['casualties'], $station['severe-limb-bleeding']['because']]);
        // The chest wound is on no line of it: bystanders are not asked to deal with it.
        $this->assertSame([0, 'scope'], [$station['chest-wound']['casualties'], $station['chest-wound']['because']]);
        // The same tourniquet on a closed line, in the evening when nobody trained is there.
        $this->assertContains('scope', array_column($this->coping('QH-09')['severe-limb-bleeding']['shifts'], 'because'));
    }

    public function test_a_second_injector_and_an_inhaler_serve_one_person(): void
    {
        $needs = array_column(array_column($this->actAs('lead')->getJson('/api/emergencies')->assertOk()->json(), null, 'code'), 'needs', 'code');
        $of = static fn (string $kind, string $need): array => array_values(array_map(
            static fn (array $one): array => [$one['quantity'], $one['reusable']],
            array_filter($needs[$kind], static fn (array $one): bool => $one['code'] === $need),
        ))[0];
        $this->assertSame([2, false], $of('allergic-reaction', 'medicine'));
        $this->assertSame([1, false], $of('asthma', 'medicine'));
        $this->assertSame([2, false], $of('not-breathing', 'barrier'));
        $this->assertSame([2, false], $of('not-breathing', 'gloves'), 'A pair for each of two helpers.');
    }

    public function test_emergencies_that_a_kit_is_not_made_for_are_told_apart(): void
    {
        $desk = $this->coping('QH-01');
        $this->assertSame([true, false], [$desk['small-burn']['is_made_for'], $desk['sprain']['is_made_for']]);
    }

    public function test_where_shifts_differ_each_is_told_and_the_least_is_said_first(): void
    {
        $bleeding = $this->coping('QH-09')['severe-limb-bleeding'];
        $this->assertSame([0, 'scope'], [$bleeding['casualties'], $bleeding['because']]);
        $this->assertSame([['shift' => 'day', 'casualties' => 1, 'because' => null], ['shift' => 'evening', 'casualties' => 0, 'because' => 'scope']], $bleeding['shifts']);
        $this->assertSame([], $this->coping('QH-08')['severe-limb-bleeding']['shifts']);
        // The edition that it keeps asks for one tourniquet.
        $this->assertSame([1, 1], [$this->coping('QH-08')['severe-limb-bleeding']['casualties'], $this->coping('QH-08')['severe-limb-bleeding']['planned']]);
    }

    public function test_two_kinds_at_once_share_what_both_need(): void
    {
        // A burn and a fracture: 5 bandages, of which the two take 3 together; 2 burn dressings; 2 blankets.
        $together = $this->getCoping('QH-01', '?together=small-burn,fracture')['together'];
        $this->assertSame(['Burn, small and Fracture', 1, 'anyone'], [$together['title'], $together['casualties'], $together['scope']]);
        $this->assertSame(['small-burn hold', 'fracture support', 'fracture hold'], array_column($together['limited_by'], 'id'));
        $this->assertSame('Bandage that holds it (Burn, small)', $together['limited_by'][0]['title']);
        $this->assertSame('scope', $this->getCoping('QH-01', '?together=small-burn,chest-wound')['together']['because'], 'The higher scope of the two.');
        $this->assertNull($this->getCoping('QH-01', '?together=small-burn,no-such-kind')['together']);
    }

    public function test_what_has_expired_is_not_counted(): void
    {
        $before = $this->coping('QH-05')['small-burn']['casualties'];
        // Two of the three large burn dressings expire in nineteen days.
        $this->travel(20)->days();
        $this->assertSame(2, $this->actAs('member')->coping('QH-05')['small-burn']['casualties'], 'One dressing and the film.');
        $this->assertSame(3, $before);
        $this->assertSame(['cover'], array_column($this->coping('QH-05')['small-burn']['limited_by'], 'id'));
    }

    public function test_a_design_by_what_its_list_asks_for(): void
    {
        $design = Design::query()->where('code', 'glasshouse')->firstOrFail();
        $of = fn (string $scope): array => $this->actAs('member')->getJson("/api/designs/{$design->id}/coping?scope={$scope}")->assertOk()->json();
        $by = static fn (array $coping): array => array_column($coping['emergencies'], 'casualties', 'code');
        $this->assertSame('first_aider', $of('first_aider')['scope']);
        $this->assertSame(9, $by($of('first_aider'))['splinter']);
        $this->assertSame(3, $by($of('first_aider'))['eye-dust']);
        $this->assertSame(0, $by($of('anyone'))['severe-limb-bleeding']);
        $this->getJson("/api/designs/{$design->id}/coping?scope=wizard")->assertUnprocessable();
    }

    public function test_a_lead_changes_and_confirms_what_is_counted_with(): void
    {
        $of = fn (): array => collect($this->getJson('/api/emergencies')->assertOk()->json())->keyBy('code')->all();
        $burn = $this->actAs('lead')->readOf($of(), 'small-burn');
        $this->assertSame([1, null, null], [$burn['revision'], $burn['confirmed_on'], $burn['confirmed_by']]);
        $this->assertStringContainsString('No source is claimed', $burn['basis']);
        $this->assertSame('any dressing.burn of at least width 10 cm, height 10 cm', $burn['needs'][1]['accepts'][0]['text']);
        $this->putJson('/api/emergencies/small-burn/confirmation', ['base' => 1])->assertOk();
        $this->assertSame('Maren Oduya', $this->readOf($of(), 'small-burn')['confirmed_by']);
        $this->assertTrue($this->coping('QH-01')['small-burn']['confirmed']);
        $this->assertSame(18, $this->getCoping('QH-01')['unconfirmed']);
        // Our course says two dressings, by name.
        $changed = $this->written($burn);
        $changed['needs'][1] = ['quantity' => 2, 'accepts' => [['item' => 'burn-dressing-10'], ['class' => 'dressing.film']]] + $changed['needs'][1];
        $this->putJson('/api/emergencies/small-burn', $changed)->assertOk();
        $this->assertSame([2, null], [$this->readOf($of(), 'small-burn')['revision'], $this->readOf($of(), 'small-burn')['confirmed_on']], 'What was changed is to be confirmed anew.');
        $this->assertSame(1, $this->coping('QH-01')['small-burn']['casualties']);
        $this->putJson('/api/emergencies/small-burn', $changed)->assertConflict();
        $this->putJson('/api/emergencies/small-burn/confirmation', ['base' => 1])->assertConflict();
        $this->putJson('/api/emergencies/drowning', ['base' => 0, 'title' => 'Drowning', 'needs' => [$changed['needs'][0]]] + $changed)->assertOk();
        $this->assertSame(9, $this->coping('QH-01')['drowning']['casualties']);
        // An upgrade adds what it ships, and leaves what is there as it is.
        DB::table('emergency_entries')->whereIn('emergency_need_id', DB::table('emergency_needs')->where('emergency_id', DB::table('emergencies')->where('code', 'blister')->value('id'))->pluck('id'))->delete();
        DB::table('emergency_needs')->where('emergency_id', DB::table('emergencies')->where('code', 'blister')->value('id'))->delete();
        DB::table('emergencies')->where('code', 'blister')->delete();
        $this->assertSame(1, app(ShippedEmergencies::class)->fit());
        $this->assertSame(2, $this->readOf($of(), 'small-burn')['revision']);
    }

    public function test_what_cannot_be_counted_with_is_refused_at_its_place(): void
    {
        $burn = $this->actAs('lead')->readOf(collect($this->getJson('/api/emergencies')->json())->keyBy('code')->all(), 'small-burn');
        $written = $this->written($burn);
        $refused = fn (array $but): array => array_keys($this->putJson('/api/emergencies/small-burn', $but + $written)->assertUnprocessable()->json('errors'));
        $this->assertSame(['needs'], $refused(['needs' => []]));
        $this->assertSame(['needs'], $refused(['needs' => [['reusable' => true] + $written['needs'][0]]]), 'Nothing would be used up.');
        $this->assertSame(['needs.0.accepts.0.item'], $refused(['needs' => [['accepts' => [['item' => 'no-such-item']]] + $written['needs'][0]]]));
        $this->assertSame(['needs.0.accepts.0.class'], $refused(['needs' => [['accepts' => [['class' => 'No Class']]] + $written['needs'][0]]]));
        $this->assertSame(['needs.0.quantity'], $refused(['needs' => [['quantity' => 0] + $written['needs'][0]]]));
        $this->assertSame(['scope'], $refused(['scope' => 'wizard']));
        $this->assertSame(['strange'], $refused(['strange' => 1]));
        $this->assertSame(1, DB::table('emergencies')->where('code', 'small-burn')->value('revision'));
    }

    /** @param  array<string, array{int, string|null, list<string>}>  $expected  casualties, because, and what limits them, by kind */
    private function assertCoping(string $kit, array $expected): void
    {
        $of = $this->coping($kit);
        foreach ($expected as $kind => $worked) {
            $this->assertSame($worked, [$of[$kind]['casualties'], $of[$kind]['because'], array_column($of[$kind]['limited_by'], 'id')], "{$kit}, {$kind}");
        }
    }

    /** @return array<string, array<string, mixed>> by kind */
    private function coping(string $kit): array
    {
        return array_column($this->getCoping($kit)['emergencies'], null, 'code');
    }

    /** @return array<string, mixed> */
    private function getCoping(string $kit, string $asked = ''): array
    {
        $this->app?->forgetScopedInstances();

        return $this->actAs('lead')->getJson("/api/kits/{$kit}/coping{$asked}")->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $all
     * @return array<string, mixed>
     */
    private function readOf(array $all, string $code): array
    {
        return $all[$code];
    }

    /**
     * @param  array<string, mixed>  $read
     * @return array<string, mixed>
     */
    private function written(array $read): array
    {
        return ['base' => $read['revision'], 'title' => $read['title'], 'scope' => $read['scope'], 'basis' => $read['basis'], 'helpers' => $read['helpers'], 'needs' => array_map(static fn (array $need): array => [
            'code' => $need['code'], 'title' => $need['title'], 'quantity' => $need['quantity'], 'reusable' => $need['reusable'],
            'accepts' => array_map(static fn (array $entry): array => ['class' => $entry['class'], 'minima' => array_map(
                static fn (array $least): array => ['measure' => $least['measure'], 'quantity' => $least['quantity']], $entry['minima'],
            )], $need['accepts']),
        ], $read['needs'])];
    }
}
