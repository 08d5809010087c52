<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What packing asks of items and designs: how an item is handled and what it is called elsewhere, what a compartment may carry, what waits
 * for something, what of the advice was set aside, and kits that differ on purpose.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('items', function (Blueprint $table): void {
            // Of a dressing: it touches the wound, soaks, or holds the others.
            $table->enum('layer', ['contact', 'absorb', 'hold'])->nullable();
            $table->unsignedSmallInteger('start_minutes')->nullable();
            // What is done to it before it is packed.
            $table->string('staging', 120)->nullable();
            $table->boolean('keep_dry')->default(false);
            $table->boolean('has_latex')->default(false);
            // What a piece takes up in a pocket.
            $table->unsignedInteger('bulk_ml')->nullable();
        });
        Schema::create('item_told_from', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            $table->foreignUlid('other_id')->constrained('items');
            $table->string('by', 120);
            $table->unique(['item_id', 'other_id']);
        });
        Schema::create('item_names', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            $table->string('name', 80)->index();
            // Where it is called so; null: everywhere.
            $table->string('region', 40)->nullable();
            $table->unique(['item_id', 'name']);
        });
        Schema::table('compartments', function (Blueprint $table): void {
            $table->unsignedInteger('max_mass_g')->nullable();
            $table->unsignedInteger('volume_ml')->nullable();
        });
        Schema::table('design_editions', function (Blueprint $table): void {
            $table->unsignedInteger('max_volume_ml')->nullable();
            // Whole minor units.
            $table->unsignedInteger('max_cost')->nullable();
            $table->boolean('latex_free')->default(false);
            $table->enum('wrappers', ['off', 'on'])->nullable();
        });
        Schema::table('placements', function (Blueprint $table): void {
            // Planned without a day: asked for from the day on which a lead says that it has begun.
            $table->string('waits_for', 120)->nullable();
        });
        DB::statement('ALTER TABLE placements ADD CONSTRAINT placements_planned CHECK (from_day IS NULL OR waits_for IS NULL)');
        Schema::create('line_switches', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('design_id')->constrained();
            $table->string('line_code', 20);
            $table->date('on_day');
            $table->string('reason', 200);
            $table->foreignUlid('user_id')->constrained();
            $table->dateTime('switched_at');
            // Kept once it has ended: who asked for it, from when until when.
            $table->date('ended_on')->nullable();
            $table->foreignUlid('ended_by_id')->nullable()->constrained('users');
            $table->index(['design_id', 'line_code']);
        });
        Schema::create('set_aside', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('design_edition_id')->constrained();
            $table->string('subject', 300)->charset('ascii')->collation('ascii_bin');
            $table->string('reason', 200);
            $table->unique(['design_edition_id', 'subject']);
        });
        // In the pocket where people search: where the thing lives.
        Schema::create('looked_for', function (Blueprint $table): void {
            $table->id();
            $table->ulid('design_edition_id');
            $table->ulid('pocket_id');
            $table->foreign(['design_edition_id', 'pocket_id'])->references(['design_edition_id', 'pocket_id'])->on('compartments');
            $table->string('line_code', 20);
            $table->unique(['design_edition_id', 'pocket_id', 'line_code']);
        });
        foreach (['set_aside', 'looked_for'] as $table) {
            foreach (['INSERT' => 'NEW', 'UPDATE' => 'OLD', 'DELETE' => 'OLD'] as $change => $row) {
                DB::unprepared("CREATE TRIGGER {$table}_published_kept_".strtolower($change)." BEFORE {$change} ON `{$table}` FOR EACH ROW
                    IF (SELECT published_at FROM design_editions WHERE id = {$row}.design_edition_id) IS NOT NULL THEN
                        SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'A published edition of a design never changes; make the next one.';
                    END IF");
            }
        }
        // A kit that differs from the others on purpose.
        Schema::create('kit_exceptions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('kit_id')->constrained();
            $table->string('name', 80);
            $table->string('reason', 300);
            $table->date('ends_on')->index();
            $table->foreignUlid('made_by_id')->constrained('users');
            $table->date('made_on');
            $table->foreignUlid('ended_by_id')->nullable()->constrained('users');
            $table->date('ended_on')->nullable();
        });
    }
};
