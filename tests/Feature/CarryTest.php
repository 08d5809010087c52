<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** How many to carry, from one's own records where they say enough; and where it went what a check did not find. */
final class CarryTest extends TestCase
{
    public function test_nothing_is_carried_below_its_list_and_each_row_says_what_decides(): void
    {
        $list = $this->list('outdoor-week');
        $trip = $this->actAs('member')->ask("setting=trip&list={$list->id}&people=6&days=14");
        $this->assertCount(DB::table('lines')->where('list_id', $list->id)->count(), $trip['rows'], 'Every line of the list is there.');
        $this->assertTrue($trip['is_scaled']);
        foreach ($trip['rows'] as $row) {
            $this->assertGreaterThanOrEqual($row['list'], $row['par'], $row['need']);
            $this->assertGreaterThan(0, $row['par'], "{$row['need']}: a trip carries no line of 0 pieces.");
            $this->assertTrue($row['rank'] !== 'critical' || $row['par'] >= $row['listed'], "{$row['need']} is critical.");
            $this->assertContains($row['from'], ['list', 'uses']);
        }
        $this->assertContains('list', array_column($trip['rows'], 'from'));
    }

    public function test_without_a_list_the_page_has_nothing_to_say_and_asks_for_one(): void
    {
        $none = $this->actAs('member')->ask('setting=trip');
        $this->assertSame([null, []], [$none['list'], $none['rows']]);
        $unscaled = DB::table('lists')->whereNull('made_for_people')->value('id');
        $asked = $this->ask("setting=trip&list={$unscaled}");
        $this->assertFalse($asked['is_scaled']);
        foreach ($asked['rows'] as $row) {
            $this->assertSame($row['listed'], $row['list'], 'A list that does not say for whom it is made is not scaled.');
        }
    }

    public function test_own_records_of_the_same_setting_pull_the_rate_and_others_do_not(): void
    {
        $list = $this->list('outdoor-week');
        $work = $this->actAs('member')->plasterOf($list->id, 'workplace');
        $this->assertGreaterThan(0, $work['uses_known']);
        $this->assertGreaterThan(0, $work['own_share']);
        $this->assertNotSame($work['setting_rate'], $work['rate'], 'Own records pull the rate of the setting.');
        $this->assertGreaterThan((float) $work['own_least'], (float) $work['own_most'], 'How uncertain the own records are.');
        $trip = $this->plasterOf($list->id, 'trip');
        $this->assertSame([0, 0, $trip['setting_rate'], null], [$trip['uses_known'], $trip['own_share'], $trip['rate'], $trip['own_least']], 'Nobody recorded a trip.');
        DB::table('places')->update(['setting' => 'trip']);
        $moved = $this->plasterOf($list->id, 'trip');
        $this->assertSame([$work['uses_known'], 0], [$moved['uses_known'], $this->plasterOf($list->id, 'workplace')['uses_known']]);
    }

    public function test_pieces_that_went_missing_count_as_used_unless_somebody_said_where_they_are(): void
    {
        $list = $this->list('outdoor-week');
        $before = $this->actAs('member')->plasterOf($list->id, 'workplace')['uses_known'];
        DB::table('shortfalls')->whereIn('why', ['used', 'unknown'])->orWhereNull('why')->update(['why' => 'moved']);
        $this->assertLessThan($before, $this->plasterOf($list->id, 'workplace')['uses_known']);
    }

    public function test_the_records_are_of_the_people_of_the_assessment_in_force_alone(): void
    {
        $signed = DB::table('assessments')->whereNotNull('signed_on')->orderByDesc('signed_on')->pluck('id');
        $this->assertGreaterThan(1, $signed->count(), 'last year was assessed too');
        $people = static fn (string $id): int => (int) DB::table('assessment_areas')->where('assessment_id', $id)
            ->whereIn('id', DB::table('assessment_area_places')->select('assessment_area_id'))->sum('people');
        $this->assertGreaterThan(0, $people($signed[1]));
        $ask = fn (): array => $this->getJson("/api/how-many?people=12&days=7&each=0.95&setting=workplace&list={$this->list('outdoor-week')->id}")->assertOk()->json();
        $this->actAs('member');
        $this->assertSame($people($signed[0]), $ask()['covered']);
        DB::table('assessments')->update(['signed_on' => null]);
        $none = $ask();
        $this->assertSame(0, $none['covered']);
        $this->assertSame([0], array_values(array_unique(array_filter(array_column($none['rows'], 'own_share'), is_int(...)))), 'of nobody no rate can be told');
    }

    public function test_a_common_confidence_lets_all_of_it_reach_the_target(): void
    {
        $list = $this->list('outdoor-week');
        $asked = $this->actAs('member')->ask("list={$list->id}&setting=trip&people=40&days=60&together=0.9&each=0.9");
        $this->assertGreaterThan('0.9000', $asked['common']);
        $this->assertGreaterThanOrEqual('0.9000', $this->ask("list={$list->id}&setting=trip&people=40&days=60&each={$asked['common']}")['chance']);
        foreach (['people=0', 'days=0', 'each=1', 'each=0', 'each=0.95x', 'each=.0', 'each=0.0000', 'together=2', 'together=0.0', 'setting=moon', 'list=none'] as $bad) {
            $this->getJson("/api/how-many?people=12&days=7&each=0.95&{$bad}")->assertUnprocessable();
        }
    }

    public function test_a_total_that_no_item_serves_is_said_as_its_measure_and_not_as_one_piece(): void
    {
        $list = $this->list('sideline-bag');
        $line = DB::table('lines')->where('list_id', $list->id)->where('need', 'Elastic adhesive bandage')->first() ?? $this->fail('There is no such line.');
        $row = fn (): array => collect($this->actAs('member')->ask("setting=sport&list={$list->id}&people=18&days=7")['rows'])->firstWhere('line', $line->code);
        $this->assertSame([null, 2], [$row()['measure'], $row()['list']], 'Two rolls of 4.5 m.');
        // No item of the catalogue is of that class any more.
        DB::table('line_entries')->where('line_id', $line->id)->update(['item_id' => null, 'class' => 'tape.unknown']);
        $this->assertSame([null, '9 m'], [$row()['item'], $row()['measure']]);
    }

    public function test_shipped_rates_agree_with_shipped_lists(): void
    {
        // What a list asks for by people and days and what its setting's rate expects are of one order of magnitude: within a factor of six.
        foreach ([['outdoor-week', 'trip'], ['sideline-bag', 'sport'], ['bs-8599-1/medium', 'workplace']] as [$code, $setting]) {
            $list = $this->list($code);
            $this->assertNotNull($list->made_for_people, $code);
            $rows = $this->actAs('member')->ask("list={$list->id}&setting={$setting}&people={$list->made_for_people}&days={$list->made_for_days}")['rows'];
            $compared = 0;
            foreach ($rows as $row) {
                if (in_array($row['item'], ['plaster-washproof', 'wipe-sterile'], true)) {
                    $expected = (float) $row['setting_rate'] * $list->made_for_people * $list->made_for_days / 1000;
                    $this->assertGreaterThan($row['listed'] / 6, $expected, "{$code} {$row['need']}");
                    $this->assertLessThan($row['listed'] * 6, $expected, "{$code} {$row['need']}");
                    $compared++;
                }
            }
            $this->assertGreaterThan(0, $compared, $code);
        }
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

    private function list(string $code): object
    {
        return DB::table('lists')->where('code', $code)->orderByDesc('edition')->first() ?? $this->fail("There is no list {$code}.");
    }

    /** @return array<string, mixed> */
    private function plasterOf(string $list, string $setting): array
    {
        foreach ($this->ask("setting={$setting}&list={$list}")['rows'] as $row) {
            if ($row['item'] === 'plaster-washproof') {
                return $row;
            }
        }
        $this->fail('The list has no plasters.');
    }

    /** @return array<string, mixed> */
    private function ask(string $more): array
    {
        parse_str("people=12&days=7&each=0.95&covered=40&{$more}", $query);

        return $this->getJson('/api/how-many?'.http_build_query($query))->assertOk()->json();
    }
}
