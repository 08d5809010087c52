<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Place;
use App\Stock\Lots;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Support\DoneAtTheSameMoment;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Stores and lots: where a kit is restocked from, and that a lot is one lot. */
final class StockTest extends TestCase
{
    public function test_a_kit_is_restocked_from_the_store_nearest_to_its_place(): void
    {
        $this->actAs('keeper');
        $this->assertSame('Lantern meadow chest', $this->getJson('/api/kits/QH-16/restock')->json('store_name'));
        $this->assertSame('Potting shed cupboard', $this->getJson('/api/kits/QH-13/restock')->json('store_name'));
        $this->assertSame('Potting shed cupboard', $this->getJson('/api/kits/QH-07/restock')->json('store_name'), 'None is near: the first.');
        $yard = Place::query()->where('name', 'Tree yard')->firstOrFail();
        Store::query()->create(['place_id' => $yard->id, 'name' => 'Yard locker']);
        $this->assertSame('Yard locker', $this->getJson('/api/kits/QH-07/restock')->json('store_name'));
        $this->assertSame('Potting shed cupboard', app(NearestStore::class)($this->kit('QH-13'))?->name);
    }

    public function test_another_store_can_be_chosen(): void
    {
        $this->actAs('keeper');
        $plan = $this->getJson('/api/kits/QH-16/restock')->assertOk()->json();
        $this->assertSame(['Lantern meadow chest', 'Potting shed cupboard'], array_column($plan['stores'], 'name'));
        $other = array_values(array_filter($plan['stores'], fn (array $store): bool => $store['id'] !== $plan['store']))[0];
        $chosen = $this->getJson("/api/kits/QH-16/restock?store={$other['id']}")->assertOk()->json();
        $this->assertSame($other, ['id' => $chosen['store'], 'name' => $chosen['store_name']]);
        $this->getJson('/api/kits/QH-16/restock?store='.$this->ulid())->assertUnprocessable();
    }

    public function test_what_a_retired_kit_held_goes_to_the_store_nearest_to_it(): void
    {
        $this->actAs('lead');
        $meadow = Store::query()->where('name', 'Lantern meadow chest')->firstOrFail();
        $before = (int) DB::table('holdings')->where('store_id', $meadow->id)->sum('quantity');
        app(\App\Kits\RetireKit::class)($this->kit('QH-16'), 'The festival is over.', [], $this->person('lead'), now(), now()->toDateString());
        $this->assertGreaterThan($before, (int) DB::table('holdings')->where('store_id', $meadow->id)->sum('quantity'));
    }

    public function test_a_lot_is_one_lot_however_its_number_is_typed(): void
    {
        $item = (string) DB::table('items')->where('code', 'foil-blanket')->value('id');
        $lots = app(Lots::class);
        $made = $lots->findOrMake($item, 'ab-1', '2031-05');
        $this->assertSame($made, $lots->findOrMake($item, 'AB-1', '2031-05'));
        $this->assertSame($made, $lots->findOrMake($item, ' Ab-1 ', '2031-05'));
        $this->assertNotSame($made, $lots->findOrMake($item, 'ab-1', '2031-06'), 'Another date is another lot.');
        $this->assertNotSame($made, $lots->findOrMake($item, 'ab-1', null));
        $this->assertNotSame($made, $lots->findOrMake($item, 'äb-1', '2031-05'), 'An accent makes another number.');
        $this->assertSame($lots->findOrMake($item, null, null), $lots->findOrMake($item, null, null), 'Nothing printed is one lot too.');
        $this->expectException(DoneAtTheSameMoment::class);
        $lots->make($item, 'AB-1', '2031-05');
    }

    public function test_lots_are_found_by_key_and_not_by_reading_all_of_an_item(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-01');
        $queries = [];
        DB::listen(function ($query) use (&$queries): void {
            if (str_contains($query->sql, 'from `lots`') && ! str_contains($query->sql, 'join')) {
                $queries[] = $query;
            }
        });
        $check = $this->asRecorded($kit);
        $check['seal_reason'] = 'planned full check';
        $this->finish($check)->assertOk();
        $this->assertCount(1, $queries);
        $plan = DB::select('EXPLAIN '.$queries[0]->sql, $queries[0]->bindings);
        $this->assertSame('lots_item_id_number_key_expires_key_unique', $plan[0]->key, (string) json_encode($plan));
    }

    public function test_what_code_takes_for_unique_is_unique(): void
    {
        foreach (['lots', 'design_editions', 'places', 'stores'] as $table) {
            $row = (array) DB::table($table)->first();
            try {
                DB::transaction(fn () => DB::table($table)->insert([...$row, 'id' => $this->ulid()]));
                $this->fail("Two rows of {$table} may be alike.");
            } catch (UniqueConstraintViolationException) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
