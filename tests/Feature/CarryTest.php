<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** How many to carry, from one's own records where they say enough; and where it went what a check did not find. */
final class CarryTest extends TestCase
{
    public function test_own_records_count_once_ten_uses_are_known_and_say_how_sure_they_are(): void
    {
        $plaster = $this->actAs('member')->ask('items=plaster-washproof,windlass-tourniquet');
        [$own, $starting] = [$plaster['rows'][0], $plaster['rows'][1]];
        $this->assertSame(['own', 'starting'], [$own['source'], $starting['source']]);
        $this->assertGreaterThanOrEqual(10, $own['uses_known']);
        $this->assertLessThan((float) $own['rate'], (float) $own['rate_least']);
        $this->assertGreaterThan((float) $own['rate'], (float) $own['rate_most']);
        $this->assertNull($starting['rate_least'], 'below ten uses it cannot tell');
        DB::table('shortfalls')->where('why', 'used')->update(['why' => 'unknown']);
        $this->assertLessThan($own['uses_known'], $this->ask('items=plaster-washproof')['rows'][0]['uses_known'], 'what was said to be used counts');
    }

    public function test_the_records_are_of_the_people_of_the_assessment_in_force_alone(): void
    {
        $signed = DB::table('assessments')->whereNotNull('signed_on')->orderByDesc('signed_on')->pluck('id');
        $this->assertGreaterThan(1, $signed->count(), 'last year was assessed too');
        $people = static fn (string $id): int => (int) DB::table('assessment_areas')->where('assessment_id', $id)->sum('people');
        $this->assertGreaterThan(0, $people($signed[1]));
        $own = $this->actAs('member')->getJson('/api/how-many?people=12&days=7&each=0.95&items=plaster-washproof')->assertOk()->json();
        $this->assertSame($people($signed[0]), $own['covered']);
        DB::table('assessments')->update(['signed_on' => null]);
        $none = $this->getJson('/api/how-many?people=12&days=7&each=0.95&items=plaster-washproof')->assertOk()->json();
        $this->assertSame([0, 'starting'], [$none['covered'], $none['rows'][0]['source']], 'of nobody no rate can be told');
    }

    public function test_a_common_confidence_lets_all_of_it_reach_the_target(): void
    {
        $items = 'items=plaster-washproof,wipe-sterile,gloves-nitrile-large,triangular-bandage,foil-blanket,cold-pack';
        $asked = $this->actAs('member')->ask("{$items}&together=0.9&each=0.9");
        $this->assertLessThan('0.9000', $asked['chance'], 'each is enough in nine of ten trips, all of them are not');
        $this->assertGreaterThan('0.9000', $asked['common']);
        $this->assertGreaterThanOrEqual('0.9000', $this->ask("{$items}&each={$asked['common']}")['chance']);
        foreach (['people=0', 'days=0', 'each=1', 'each=0', 'each=0.95x', 'each=.0', 'each=0.0000', 'together=2', 'together=0.0'] as $bad) {
            $this->getJson("/api/how-many?people=12&days=7&each=0.95&{$bad}")->assertUnprocessable();
        }
    }

    public function test_without_a_list_it_takes_what_was_used_and_names_what_has_no_rate(): void
    {
        $all = $this->actAs('member')->ask('');
        $this->assertContains('plaster-washproof', array_column($all['rows'], 'item'));
        $list = DB::table('lists')->where('origin', 'house')->value('id');
        $ofList = $this->ask("list={$list}");
        $this->assertNotSame([], $ofList['rows']);
        $this->assertNotSame([], $this->ask('items=shears')['without']);
    }

    public function test_a_count_below_the_record_is_asked_about_once_and_the_unsaid_share_stays(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        DB::table('shortfalls')->delete();
        $check = $this->asRecorded($kit);
        $at = $this->rowOf($check, 'plaster-washproof');
        $check['rows'][$at]['quantity'] -= 3;
        // What only changed its pocket has not gone.
        $this->finish($check)->assertOk();
        $asked = $this->getJson('/api/kits/QH-16/shortfalls')->assertOk()->json();
        $this->assertSame([['plaster-washproof', 3]], array_map(static fn (array $one): array => [$one['item'], $one['pieces']], $asked['asked']));
        $this->assertSame([[3, 3]], array_map(static fn (array $one): array => [$one['unsaid'], $one['pieces']], $asked['shares']));
        $id = $asked['asked'][0]['id'];
        $this->putJson("/api/kits/QH-16/shortfalls/{$id}", ['why' => 'stolen by Bob'])->assertUnprocessable();
        $this->putJson("/api/kits/QH-01/shortfalls/{$id}", ['why' => 'used'])->assertNotFound();
        $after = $this->putJson("/api/kits/QH-16/shortfalls/{$id}", ['why' => 'used'])->assertOk()->json();
        $this->assertSame([], $after['asked'], 'it is asked once');
        $this->assertSame([[0, 3]], array_map(static fn (array $one): array => [$one['unsaid'], $one['pieces']], $after['shares']));
        $this->assertSame([], array_diff(array_keys($after['shares'][0]), ['place', 'shift', 'unsaid', 'pieces']), 'never by person');
    }

    /** @return array<string, mixed> */
    private function ask(string $more): array
    {
        return $this->getJson("/api/how-many?people=12&days=7&each=0.95&covered=40&{$more}")->assertOk()->json();
    }
}
