<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Accounts\SetupCode;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\TestCase;

/** From nothing: the code, the organisation, its first lead, and a design of one's own. */
final class OwnOrganisationTest extends TestCase
{
    private const SETUP = [
        'organisation' => 'Tarn Street Office', 'time_zone' => 'Europe/Lisbon', 'currency' => 'EUR', 'length_unit' => 'cm', 'mass_unit' => 'g',
        'volume_unit' => 'ml', 'people_kept_days' => 365, 'with_catalogue' => false, 'name' => 'Ines Calder', 'email' => 'Ines@tarn.example',
        'password' => 'seven wet umbrellas',
    ];

    public function test_where_there_is_an_organisation_nothing_is_set_up(): void
    {
        $this->getJson('/api/setup')->assertNotFound();
        $this->postJson('/api/setup', ['code' => 'AAAA-AAAA-AAAA-AAAA'] + self::SETUP)->assertNotFound();
        $this->artisan('setup:code')->assertSuccessful()->doesntExpectOutputToContain('-');
        $this->getJson('/api/session')->assertJsonPath('needs_setup', false);
    }

    public function test_from_nothing_by_a_code_that_works_once(): void
    {
        $this->nothing();
        $this->getJson('/api/session')->assertOk()->assertJson(['needs_setup' => true, 'user' => null]);
        $this->assertContains('Europe/Lisbon', $this->getJson('/api/setup')->assertOk()->json('time_zones'));
        $code = app(SetupCode::class)->make(now());
        $this->postJson('/api/setup', ['code' => 'AAAA-AAAA-AAAA-AAAA'] + self::SETUP)->assertUnprocessable()->assertJsonPath('errors.code.0', fn (string $text): bool => str_contains($text, 'not the code'));
        $this->postJson('/api/setup', ['code' => $code, 'time_zone' => 'Mars/Base'] + self::SETUP)->assertUnprocessable()->assertJsonPath('errors.time_zone.0', 'Choose a time zone, such as Europe/London.');
        $this->postJson('/api/setup', ['code' => strtolower($code)] + self::SETUP)->assertCreated();
        $this->getJson('/api/setup')->assertNotFound();
        $this->assertSame(0, DB::table('setup_codes')->count());
        $this->postJson('/api/session', ['email' => 'ines@tarn.example', 'password' => 'seven wet umbrellas'])->assertOk()->assertJsonPath('user.role', 'lead');
        $this->app?->forgetScopedInstances();
        $this->getJson('/api/organisation')->assertOk()->assertJson(['name' => 'Tarn Street Office', 'currency' => 'EUR', 'time_zone' => 'Europe/Lisbon']);
    }

    public function test_what_ships_is_taken_in_part_and_what_is_there_stays(): void
    {
        $offered = $this->actAs('lead')->getJson('/api/reference')->assertOk()->json();
        $this->assertNotContains(false, array_column($offered['lists'], 'is_there'), 'the demo took all of it');
        // Two lists and an item are gone; another item has a name of the house.
        Schema::disableForeignKeyConstraints();
        DB::table('lists')->whereIn('code', ['module-bite-sting', 'module-water'])->delete();
        Schema::enableForeignKeyConstraints();
        DB::table('items')->where('code', 'tick-remover')->update(['code' => 'tick-remover-before']);
        DB::table('items')->where('code', 'shears')->update(['name' => 'Our own shears']);
        $gone = static fn (array $of): array => array_values(array_column(array_filter($of['lists'], static fn (array $list): bool => ! $list['is_there']), 'code'));
        $this->assertSame(['module-bite-sting', 'module-water'], $gone($this->getJson('/api/reference')->json()));
        $now = $this->postJson('/api/reference', ['all_items' => false, 'lists' => ['module-bite-sting']])->assertOk()->json();
        $this->assertSame(['module-water'], $gone($now));
        $this->assertTrue(DB::table('items')->where('code', 'tick-remover')->exists(), 'a list brings the items that it names');
        $taken = DB::table('lists')->where('code', 'module-bite-sting')->first();
        $this->assertNull($taken->confirmed_at, 'it is unconfirmed');
        $this->assertSame(7, DB::table('lines')->where('list_id', $taken->id)->count());
        $count = DB::table('lists')->count();
        $this->postJson('/api/reference', ['all_items' => true, 'lists' => array_column($offered['lists'], 'code')])->assertOk();
        $this->postJson('/api/reference', ['all_items' => true, 'lists' => array_column($offered['lists'], 'code')])->assertOk();
        $this->assertSame($count + 1, DB::table('lists')->count(), 'taken twice, it is there once');
        $this->assertSame('Our own shears', DB::table('items')->where('code', 'shears')->value('name'));
        $this->postJson('/api/reference', ['all_items' => false, 'lists' => ['no-such']])->assertUnprocessable();
    }

    public function test_a_code_ends_after_a_day_and_after_twenty_guesses(): void
    {
        $this->nothing();
        $codes = app(SetupCode::class);
        $code = $codes->make(now());
        $this->assertFalse($codes->accepts($code, now()->addHours(25)));
        for ($try = 0; $try < 20; $try++) {
            $this->assertFalse($codes->accepts('AAAA-AAAA-AAAA-AAAA', now()));
        }
        $this->assertFalse($codes->accepts($code, now()), 'It was guessed at too often.');
        $this->assertTrue($codes->accepts($codes->make(now()), now()));
    }

    public function test_a_design_is_laid_out_for_a_list_and_kits_are_made_of_it(): void
    {
        $list = DB::table('lists')->where('code', 'walk-pouch')->first();
        $start = $this->actAs('lead')->getJson("/api/lists/{$list->id}/layout")->assertOk()->json();
        $draft = $start['draft'];
        $this->assertSame('First grip: gloves and resuscitation', $draft['compartments'][1]['name'], 'A critical line comes first.');
        $this->assertContains('Bandages', array_column($draft['compartments'], 'name'), 'A pocket is named after its contents.');
        $this->assertNull($draft['policy']['empty_mass_g'], 'Nobody weighed the bag.');
        [$id, $edition] = [$this->ulid(), $this->ulid()];
        foreach ([1, 2] as $time) {
            $this->putJson("/api/designs/{$id}/editions/{$edition}", ['name' => 'Reading room pouch', 'draft' => $draft])->assertOk();
        }
        $this->assertSame([1, 1], [DB::table('designs')->where('name', 'Reading room pouch')->count(), DB::table('design_editions')->where('design_id', $id)->count()]);
        $place = DB::table('places')->where('name', 'Arid house')->value('id');
        $this->postJson('/api/kits', ['id' => $this->ulid(), 'code' => 'QH-70', 'name' => 'Pouch', 'design_id' => $id, 'place_id' => $place, 'scope' => 'first_aider'])->assertCreated();
        $this->assertSame('not_ready', $this->readKit('QH-70')['verdict']['verdict']);
        $this->assertFalse($this->readKit('QH-70')['verdict']['is_empty_mass_known']);
        $leaves = array_column(array_filter($draft['compartments'], static fn (array $one): bool => $one['parent_id'] === null), 'name');
        $this->assertSame($leaves, array_column($this->readKit('QH-70')['leaves'], 'name'));

        $this->putJson("/api/designs/{$id}/retirement")->assertUnprocessable()->assertJsonPath('errors.design.0', fn (string $text): bool => str_contains($text, 'QH-70'));
        $this->putJson('/api/kits/QH-70/retirement', ['reason' => 'Not needed'])->assertOk();
        $this->putJson("/api/designs/{$id}/retirement")->assertNoContent();
        $this->assertNotContains('Reading room pouch', array_column($this->getJson('/api/designs')->json(), 'name'));
    }

    /** As an instance is before anybody set it up. */
    private function nothing(): void
    {
        Schema::disableForeignKeyConstraints();
        foreach (['organisations', 'users'] as $table) {
            DB::table($table)->delete();
        }
        Schema::enableForeignKeyConstraints();
        $this->app?->forgetScopedInstances();
        $this->assertFalse(Organisation::query()->exists());
    }
}
