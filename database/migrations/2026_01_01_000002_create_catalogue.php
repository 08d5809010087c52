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
            $table->string('name', 120);
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

        Schema::create('designs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('code', 60)->unique();
            $table->string('name', 120);
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
        });

        Schema::create('design_seasons', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('design_id')->constrained();
            $table->char('month_day', 5);
            $table->unique(['design_id', 'month_day']);
        });

        // A line belongs to a list, or to a design that adds it to its list.
        Schema::create('lines', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('list_id')->nullable()->constrained('lists');
            $table->foreignUlid('design_id')->nullable()->constrained();
            $table->string('code', 20);
            $table->unsignedSmallInteger('position');
            $table->string('need', 160);
            $table->enum('rank', ['critical', 'required', 'optional'])->default('required');
            $table->unsignedInteger('quantity')->nullable();
            $table->string('total_measure', 30)->nullable();
            $table->string('total_quantity', 40)->nullable();
            $table->string('reason', 200)->nullable();
            $table->unique(['list_id', 'code']);
            $table->unique(['design_id', 'code']);
        });
        DB::statement('ALTER TABLE `lines` ADD CONSTRAINT lines_one_owner CHECK ((list_id IS NULL) <> (design_id IS NULL))');
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

        Schema::create('leaves', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('design_id')->constrained();
            $table->string('name', 60);
            $table->unsignedSmallInteger('position');
            $table->unique(['design_id', 'name']);
        });

        Schema::create('pockets', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('leaf_id')->constrained('leaves');
            $table->string('name', 60);
            $table->unsignedTinyInteger('row');
            $table->unsignedTinyInteger('column');
            $table->unsignedTinyInteger('row_span')->default(1);
            $table->unsignedTinyInteger('column_span')->default(1);
            $table->unique(['leaf_id', 'name']);
        });

        Schema::create('line_homes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('design_id')->constrained();
            $table->foreignUlid('line_id')->constrained('lines');
            $table->foreignUlid('pocket_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->unique(['design_id', 'line_id']);
        });
    }
};
