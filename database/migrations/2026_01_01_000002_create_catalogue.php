<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('items', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('code', 60)->unique();
            $table->string('name', 120)->index();
            $table->fullText('name');
            $table->string('class', 120)->index();
            $table->enum('count_unit', ['each', 'pair', 'roll'])->default('each');
            $table->boolean('dated');
            $table->boolean('sterile');
            $table->unsignedInteger('mass_g');
            $table->enum('scope', ['anyone', 'first_aider', 'trained', 'clinician'])->default('anyone');
            $table->boolean('keeps_as_reserve')->default(true);
            $table->string('purpose', 80);
            $table->string('caution', 200)->nullable();
            $table->foreignUlid('superseded_by_id')->nullable()->constrained('items');
        });

        Schema::create('item_measures', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            $table->string('measure', 30);
            // Exactly as it was entered, number and unit: "2.5 yd".
            $table->string('quantity', 40);
            $table->unique(['item_id', 'measure']);
        });

        Schema::create('item_packs', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            $table->unsignedInteger('pieces');
            $table->unique(['item_id', 'pieces']);
        });

        Schema::create('item_needs', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            $table->enum('per', ['kit', 'each']);
            $table->unsignedInteger('quantity');
            $table->string('reason', 120);
        });

        Schema::create('item_need_companions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_need_id')->constrained();
            $table->foreignUlid('item_id')->constrained();
            $table->unique(['item_need_id', 'item_id']);
        });

        Schema::create('lots', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('item_id')->constrained();
            $table->string('number', 60)->nullable()->index();
            // As printed: a month or a day. The day it is good through stands beside it, for searching.
            $table->string('expires', 10)->nullable();
            $table->date('good_until')->nullable()->index();
            // Number and date as they are told apart: in capitals, and empty where nothing is printed (App\Stock\LotKey).
            $table->string('number_key', 60)->collation('utf8mb4_bin');
            $table->string('expires_key', 10)->charset('ascii')->collation('ascii_bin');
            $table->unique(['item_id', 'number_key', 'expires_key']);
        });

        Schema::create('lists', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('code', 60)->unique();
            $table->string('title', 160);
            $table->string('size', 40)->nullable();
            $table->string('edition', 60);
            $table->string('basis', 200);
            $table->enum('origin', ['starter', 'house']);
            $table->dateTime('confirmed_at')->nullable();
            $table->foreignUlid('confirmed_by_id')->nullable()->constrained('users');
        });

        Schema::create('list_exclusions', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('list_id')->constrained('lists');
            $table->string('class', 120);
        });

        // A pattern for kits, whatever edition of it they keep.
        Schema::create('designs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('code', 60)->unique();
            $table->string('name', 120);
            // What of a plan a kit of it is, or which risk a module of it is for; null where no plan asks for it, such as an event post.
            $table->enum('provides', ['small', 'medium', 'large', 'class-a', 'class-b', 'travel', 'vehicle'])->nullable();
            $table->string('serves', 30)->nullable()->index();
        });
        DB::statement('ALTER TABLE designs ADD CONSTRAINT designs_one_purpose CHECK (provides IS NULL OR serves IS NULL)');

        // Once it is published it never changes: a change makes the next one, and each kit says which it keeps.
        Schema::create('design_editions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('design_id')->constrained();
            $table->unsignedInteger('number');
            $table->foreignUlid('list_id')->constrained('lists');
            $table->unsignedInteger('empty_mass_g');
            $table->unsignedInteger('max_mass_g')->nullable();
            $table->enum('expiry', ['strict', 'reserve'])->default('strict');
            $table->unsignedSmallInteger('margin_days')->default(14);
            $table->unsignedSmallInteger('grace_days')->default(0);
            $table->enum('every_unit', ['months', 'weeks', 'days'])->nullable();
            $table->unsignedSmallInteger('every_count')->nullable();
            $table->boolean('before_events')->default(false);
            $table->boolean('after_use')->default(true);
            $table->boolean('sealed')->default(false);
            $table->dateTime('published_at')->nullable();
            $table->unique(['design_id', 'number']);
        });

        Schema::create('design_seasons', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('design_edition_id')->constrained();
            $table->char('month_day', 5);
            $table->unique(['design_edition_id', 'month_day']);
        });

        // A module that the list and additions of an edition hold already.
        Schema::create('design_modules', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('design_edition_id')->constrained();
            $table->string('module', 30);
            $table->unique(['design_edition_id', 'module']);
        });

        // A line belongs to a list, or to the edition of a design that adds it to its list.
        Schema::create('lines', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('list_id')->nullable()->constrained('lists');
            $table->foreignUlid('design_edition_id')->nullable()->constrained();
            $table->string('code', 20);
            $table->unsignedSmallInteger('position');
            $table->string('need', 160);
            $table->enum('rank', ['critical', 'required', 'optional'])->default('required');
            $table->unsignedInteger('quantity')->nullable();
            $table->string('total_measure', 30)->nullable();
            $table->string('total_quantity', 40)->nullable();
            $table->string('reason', 200)->nullable();
            $table->unique(['list_id', 'code']);
            $table->unique(['design_edition_id', 'code']);
        });
        DB::statement('ALTER TABLE `lines` ADD CONSTRAINT lines_one_owner CHECK ((list_id IS NULL) <> (design_edition_id IS NULL))');
        DB::statement('ALTER TABLE `lines` ADD CONSTRAINT lines_one_amount CHECK ((quantity IS NULL) <> (total_quantity IS NULL))');

        Schema::create('line_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('line_id')->constrained('lines');
            $table->unsignedSmallInteger('position');
            $table->foreignUlid('item_id')->nullable()->constrained();
            $table->string('class', 120)->nullable();
            $table->unique(['line_id', 'position']);
        });
        DB::statement('ALTER TABLE line_entries ADD CONSTRAINT line_entries_one CHECK ((item_id IS NULL) <> (class IS NULL))');

        Schema::create('line_entry_minima', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('line_entry_id')->constrained('line_entries');
            $table->string('measure', 30);
            $table->string('quantity', 40);
        });

        // A compartment of a design, whatever edition: what lies in it stays there when a kit adopts the next one.
        Schema::create('pockets', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('design_id')->constrained();
        });

        // How a compartment is in one edition: a leaf of the open kit, a pocket or a pouch of it, or a slot that a module goes into.
        Schema::create('compartments', function (Blueprint $table): void {
            $table->foreignUlid('design_edition_id')->constrained();
            $table->foreignUlid('pocket_id')->constrained();
            $table->primary(['design_edition_id', 'pocket_id']);
            $table->ulid('parent_id')->nullable();
            $table->foreign(['design_edition_id', 'parent_id'])->references(['design_edition_id', 'pocket_id'])->on('compartments');
            $table->enum('kind', ['leaf', 'pocket', 'pouch', 'slot']);
            $table->string('name', 60);
            // The order of leaves; within one, row and column.
            $table->unsignedSmallInteger('position')->default(0);
            $table->unsignedTinyInteger('row')->default(1);
            $table->unsignedTinyInteger('column')->default(1);
            $table->unsignedTinyInteger('row_span')->default(1);
            $table->unsignedTinyInteger('column_span')->default(1);
            $table->enum('closure', ['zip', 'buckle', 'flap', 'lid', 'drawstring'])->nullable();
            $table->boolean('is_outside')->default(false);
            $table->boolean('is_sealed')->default(false);
            $table->string('caution', 200)->nullable();
            // Heavy when opened, sharps, waterproof and the like.
            $table->set('properties', ['heavy_when_open', 'sharps', 'waterproof', 'rigid', 'exposed_to_rain', 'take_first'])->default('');
            // Of which design the module is that a slot asks for.
            $table->foreignUlid('slot_design_id')->nullable()->constrained('designs');
            // One name in one place: what it lies in, empty for a leaf, so that names of leaves are told apart too.
            $table->string('within', 26)->charset('ascii')->collation('ascii_bin');
            $table->unique(['design_edition_id', 'within', 'name']);
        });
        DB::statement("ALTER TABLE compartments ADD CONSTRAINT compartments_slot CHECK ((kind = 'slot') = (slot_design_id IS NOT NULL))");
        DB::statement("ALTER TABLE compartments ADD CONSTRAINT compartments_within CHECK ((parent_id IS NULL AND within = '') OR parent_id = within)");
        DB::statement("ALTER TABLE compartments ADD CONSTRAINT compartments_leaf CHECK ((kind = 'leaf') = (parent_id IS NULL))");

        // In which compartment a line lives, by its code: a line without one lives where the line before it does.
        Schema::create('placements', function (Blueprint $table): void {
            $table->id();
            $table->ulid('design_edition_id');
            $table->string('line_code', 20);
            $table->ulid('pocket_id');
            $table->foreign(['design_edition_id', 'pocket_id'])->references(['design_edition_id', 'pocket_id'])->on('compartments');
            $table->unsignedSmallInteger('position');
            // Where a line is split over several; null: all of it.
            $table->unsignedInteger('quantity')->nullable();
            // Planned: shown from now on, asked for from that day.
            $table->date('from_day')->nullable();
            $table->unique(['design_edition_id', 'line_code', 'pocket_id']);
        });

        // What a mission or a season adds: the slots and lines that stand in one are asked for only in kits that are set to it.
        Schema::create('configurations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('design_edition_id')->constrained();
            $table->string('name', 60);
            $table->unique(['design_edition_id', 'name']);
        });
        Schema::create('configuration_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('configuration_id')->constrained();
            $table->string('line_code', 20)->nullable();
            $table->foreignUlid('slot_id')->nullable()->constrained('pockets');
            $table->unique(['configuration_id', 'line_code']);
            $table->unique(['configuration_id', 'slot_id']);
        });
        DB::statement('ALTER TABLE configuration_parts ADD CONSTRAINT configuration_parts_one CHECK ((line_code IS NULL) <> (slot_id IS NULL))');
    }
};
