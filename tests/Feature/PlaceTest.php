<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Place;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The tree of places: added, renamed, hung elsewhere, ordered, merged, ended; what is there follows. */
final class PlaceTest extends TestCase
{
    public function test_each_place_says_what_hangs_there_who_answers_and_which_store_is_there_and_never_who_is_posted(): void
    {
        $places = collect($this->actAs('member')->getJson('/api/places')->assertOk()->json('places'));
        $kit = $this->kit('QH-07');
        $own = $places->firstWhere('id', $kit->place_id);
        $this->assertContains(['code' => 'QH-07', 'name' => $kit->name, 'responsible' => $this->person('keeper')->name], $own['hanging']);
        $this->assertContains('Potting shed cupboard', array_column($places->flatMap(static fn (array $place): array => $place['stores'])->all(), 'name'));
        $this->assertGreaterThan(0, $places->max('posted'));
        $body = (string) json_encode($places);
        foreach (DB::table('first_aiders')->pluck('name') as $name) {
            if (! DB::table('users')->where('name', $name)->exists()) {
                $this->assertStringNotContainsString($name, $body);
            }
        }
    }

    public function test_a_place_is_added_once_and_its_name_is_told_apart(): void
    {
        $yard = $this->place('Tree yard');
        $id = $this->ulid();
        $new = ['name' => 'Chipper bay', 'kind' => 'spot', 'parent_id' => $yard->id];
        foreach ([1, 2] as $time) {
            $this->actAs('lead')->putJson("/api/places/{$id}", $new)->assertOk()->assertJsonPath('path', 'Tree yard, Chipper bay');
        }
        $walk = Place::query()->orderBy('walk_order')->pluck('path')->all();
        $this->assertSame('Tree yard, Second climber', $walk[array_search('Tree yard, Chipper bay', $walk, true) - 1], 'It comes last of its yard.');
        $error = fn (array $place): string => (string) collect($this->putJson("/api/places/{$this->ulid()}", $place)->assertUnprocessable()->json('errors'))->flatten()->first();
        $this->assertStringContainsString('There is a place called "Tree yard, Chipper bay" already', $error($new));
        $this->assertStringContainsString('A comma stands between', $error(['name' => 'Bay, left'] + $new));
        $this->assertStringContainsString('Give the place a name', $error(['name' => ' '] + $new));
        $this->putJson("/api/places/{$yard->id}", ['name' => 'Tree yard', 'kind' => 'building', 'parent_id' => $id])->assertUnprocessable()
            ->assertJsonPath('errors.parent_id.0', 'A place does not lie in itself, nor in what lies in it.');
    }

    public function test_what_lies_in_a_place_follows_its_name_and_who_is_posted_follows_the_tree(): void
    {
        $glass = $this->place('Glasshouses');
        $this->actAs('lead')->putJson("/api/places/{$glass->id}", ['name' => 'Palm houses', 'kind' => 'building', 'parent_id' => $glass->parent_id])->assertOk();
        $this->assertSame('Palm houses, Arid house', $this->readKit('QH-04')['place']['path']);
        // Who may use what is in a kit follows from who is posted to its place, or to one that it lies in.
        $arid = $this->place('Arid house');
        $this->assertStringContainsString('posted to Palm houses', $this->readKit('QH-04')['scope_because']);
        $this->putJson("/api/places/{$arid->id}", ['name' => 'Arid house', 'kind' => 'spot', 'parent_id' => $this->place('Garden gates')->id])->assertOk();
        $this->assertStringContainsString('nobody is posted', $this->readKit('QH-04')['scope_because']);
        $this->assertSame($this->readKit('QH-04')['verdict']['verdict'], DB::table('kit_states')->where('kit_id', $this->kit('QH-04')->id)->value('verdict'));
    }

    public function test_the_order_in_which_one_walks_is_kept_and_today_follows_it(): void
    {
        $gallery = $this->place('Upper floor gallery');
        $desk = $this->place('Ground floor desk');
        $this->actAs('lead')->putJson("/api/places/{$desk->id}/order", ['after' => $gallery->id])->assertOk();
        $walk = Place::query()->orderBy('walk_order')->pluck('id')->all();
        $this->assertSame(array_search($gallery->id, $walk, true) + 1, array_search($desk->id, $walk, true));
        $this->assertSame(
            Place::query()->findOrFail($desk->id)->walk_order,
            (int) DB::table('kit_states')->where('kit_id', $this->kit('QH-01')->id)->value('walk_order'),
        );
        $this->putJson("/api/places/{$desk->id}/order", ['after' => null])->assertOk();
        $this->assertSame($desk->id, Place::query()->orderBy('walk_order')->value('id'));
        $this->putJson("/api/places/{$desk->id}/order", ['after' => $this->ulid()])->assertUnprocessable();
    }

    public function test_a_place_is_ended_only_where_nothing_is(): void
    {
        $lab = $this->place('Wet bench');
        $error = $this->actAs('lead')->putJson("/api/places/{$lab->id}/retirement")->assertUnprocessable()->json('errors.place.0');
        $this->assertStringContainsString('Wet bench is still used by kits (QH-06)', $error);
        $id = $this->ulid();
        $this->putJson("/api/places/{$id}", ['name' => 'Old lodge', 'kind' => 'spot', 'parent_id' => null])->assertOk();
        $this->putJson("/api/places/{$id}/retirement")->assertOk();
        $this->assertNotContains('Old lodge', array_column($this->getJson('/api/places?q=lodge')->json('places'), 'name'));
        $kit = ['id' => $this->ulid(), 'code' => 'QH-77', 'name' => 'Lodge box', 'design_id' => DB::table('designs')->value('id'), 'place_id' => $id, 'scope' => 'first_aider'];
        $this->postJson('/api/kits', $kit)->assertUnprocessable()->assertJsonPath('errors.place_id.0', 'Old lodge is no longer used. Choose another place.');
    }

    public function test_merging_says_what_follows_and_takes_it_along(): void
    {
        $from = $this->place('Visitor centre');
        $into = $this->place('Café');
        $follows = $this->actAs('lead')->getJson("/api/places/{$from->id}/merging")->assertOk()->json();
        $this->assertSame(['Ground floor desk', 'Upper floor gallery', 'School room'], $follows['places']);
        $this->assertGreaterThan(0, $follows['postings']);
        $this->putJson("/api/places/{$from->id}/merging", ['into' => $this->place('School room')->id])->assertUnprocessable()
            ->assertJsonPath('errors.into.0', 'School room lies in Visitor centre. Hang it elsewhere first.');
        $people = DB::table('postings')->whereIn('place_id', [$from->id, $into->id])->distinct()->count('first_aider_id');
        $this->putJson("/api/places/{$from->id}/merging", ['into' => $into->id])->assertOk();
        $this->assertSame('Café, Ground floor desk', $this->readKit('QH-01')['place']['path']);
        $this->assertSame([0, $people], [
            DB::table('postings')->where('place_id', $from->id)->count(), DB::table('postings')->where('place_id', $into->id)->distinct()->count('first_aider_id'),
        ]);
        $this->artisan('ledger:verify')->assertSuccessful();
    }

    public function test_kits_and_stores_of_a_merged_place_move_with_a_record(): void
    {
        $from = $this->place('Store cupboard');
        $this->actAs('lead')->putJson("/api/places/{$this->place('Arid house')->id}/merging", ['into' => $from->id])->assertOk();
        $this->assertSame('Potting shed, Store cupboard', $this->readKit('QH-04')['place']['path']);
        $this->assertSame('Moved', $this->getJson('/api/kits/QH-04/history')->json('entries.0.title'));
        $this->putJson("/api/places/{$from->id}/merging", ['into' => $this->place('Walk leaders\' hooks')->id])->assertOk();
        $this->assertSame('Potting shed, Walk leaders\' hooks', collect($this->getJson('/api/stores')->json())->firstWhere('name', 'Potting shed cupboard')['place']);
        $this->artisan('ledger:verify')->assertSuccessful();
    }

    private function place(string $name): Place
    {
        return Place::query()->where('name', $name)->firstOrFail();
    }
}
