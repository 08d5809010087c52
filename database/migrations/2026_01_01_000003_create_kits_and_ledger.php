<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const CONDITIONS = ['good', 'opened', 'damaged', 'soiled', 'failed'];

    /** Recorded once and never changed: a correction is a new row. */
    private const KEPT = ['movements', 'checks', 'check_rows', 'check_lines', 'check_findings'];

    public function up(): void
    {
        Schema::create('kits', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('code', 20)->unique();
            $table->string('name', 120);
            $table->foreignUlid('design_id')->constrained();
            $table->foreignUlid('place_id')->constrained();
            $table->enum('scope', ['anyone', 'first_aider', 'trained', 'clinician'])->default('first_aider');
            $table->enum('seal', ['intact', 'broken', 'none'])->default('none');
            $table->string('seal_number', 40)->nullable();
            $table->date('seal_broken_on')->nullable();
            $table->string('seal_broken_reason', 200)->nullable();
            $table->date('used_on')->nullable();
            $table->date('last_full_on')->nullable();
            $table->date('last_quick_on')->nullable();
            // The ledger's number of the last movement that touched this kit: what an edit was based on.
            $table->unsignedBigInteger('last_movement')->default(0);
            $table->timestamps();
        });

        Schema::create('event_kits', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('event_id')->constrained();
            $table->foreignUlid('kit_id')->constrained();
            $table->unique(['kit_id', 'event_id']);
        });

        Schema::create('checks', function (Blueprint $table): void {
            // Its place in the chain, without a gap.
            $table->unsignedBigInteger('number')->primary();
            $table->ulid('id')->unique();
            $table->foreignUlid('kit_id')->constrained();
            $table->enum('kind', ['full', 'quick']);
            $table->dateTime('started_at');
            $table->dateTime('finished_at');
            $table->date('day');
            $table->foreignUlid('user_id')->constrained();
            $table->string('signed', 120);
            $table->enum('verdict', ['ready', 'ready_with_actions', 'limited', 'not_ready']);
            $table->unsignedInteger('mass_g');
            $table->date('next_check');
            $table->string('seal_found', 60)->nullable();
            $table->string('seal_set', 40)->nullable();
            $table->string('seal_reason', 200)->nullable();
            $table->string('note', 500)->nullable();
            $table->char('hash', 64);
            $table->index(['kit_id', 'number']);
        });

        Schema::create('check_rows', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('check_number');
            $table->unsignedSmallInteger('position');
            $table->foreignUlid('pocket_id')->constrained();
            $table->foreignUlid('lot_id')->constrained();
            $table->enum('condition', self::CONDITIONS);
            $table->unsignedInteger('recorded');
            $table->unsignedInteger('counted');
            $table->unique(['check_number', 'position']);
            $table->foreign('check_number')->references('number')->on('checks');
        });

        Schema::create('check_lines', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('check_number');
            $table->unsignedSmallInteger('position');
            $table->string('code', 20);
            $table->string('need', 160);
            $table->enum('rank', ['critical', 'required', 'optional']);
            // Pieces, or a measure with its unit where the line asks for a total.
            $table->string('required', 40);
            $table->string('effective', 40);
            $table->unsignedInteger('reserve')->nullable();
            $table->string('short', 40);
            $table->unique(['check_number', 'position']);
            $table->foreign('check_number')->references('number')->on('checks');
        });

        Schema::create('check_findings', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('check_number');
            $table->unsignedSmallInteger('position');
            $table->string('kind', 20);
            $table->enum('severity', ['stop', 'fix', 'note']);
            $table->string('text', 300);
            $table->unique(['check_number', 'position']);
            $table->foreign('check_number')->references('number')->on('checks');
        });

        // The ledger: what lot, how many, from where, to where, why, by whom, when. No place means outside.
        Schema::create('movements', function (Blueprint $table): void {
            $table->unsignedBigInteger('number')->primary();
            $table->ulid('id')->unique();
            $table->dateTime('moved_at');
            $table->foreignUlid('lot_id')->constrained();
            $table->unsignedInteger('quantity');
            foreach (['from', 'to'] as $end) {
                $table->foreignUlid("{$end}_kit_id")->nullable()->constrained('kits');
                $table->foreignUlid("{$end}_pocket_id")->nullable()->constrained('pockets');
                $table->foreignUlid("{$end}_store_id")->nullable()->constrained('stores');
                $table->enum("{$end}_condition", self::CONDITIONS)->nullable();
            }
            $table->enum('reason', ['received', 'restocked', 'counted', 'discarded', 'returned', 'used']);
            $table->foreignUlid('user_id')->constrained();
            $table->foreignUlid('check_id')->nullable()->references('id')->on('checks');
            // What was done in one go: a restock, a delivery, a use.
            $table->ulid('batch_id')->nullable()->index();
            $table->char('hash', 64);
            $table->index(['from_kit_id', 'number']);
            $table->index(['to_kit_id', 'number']);
        });

        Schema::create('chain_heads', function (Blueprint $table): void {
            $table->string('chain', 20)->primary();
            $table->unsignedBigInteger('number');
            $table->char('hash', 64);
        });
        DB::table('chain_heads')->insert([
            ['chain' => 'movements', 'number' => 0, 'hash' => str_repeat('0', 64)],
            ['chain' => 'checks', 'number' => 0, 'hash' => str_repeat('0', 64)],
        ]);

        // What lies where now: a projection of the ledger, made anew by ledger:verify --rebuild.
        Schema::create('holdings', function (Blueprint $table): void {
            $table->id();
            $table->string('whereabouts', 60);
            $table->foreignUlid('kit_id')->nullable()->constrained();
            $table->foreignUlid('pocket_id')->nullable()->constrained();
            $table->foreignUlid('store_id')->nullable()->constrained();
            $table->foreignUlid('lot_id')->constrained();
            $table->enum('condition', self::CONDITIONS);
            $table->unsignedInteger('quantity');
            $table->unique(['whereabouts', 'lot_id', 'condition']);
        });

        // What the core said of each kit, and through which day that holds. Made anew by kits:judge.
        Schema::create('kit_states', function (Blueprint $table): void {
            $table->foreignUlid('kit_id')->primary()->constrained();
            // The kit's own, kept here too so that the worklist is sorted without a join.
            $table->string('code', 20);
            $table->unsignedInteger('walk_order');
            $table->enum('verdict', ['ready', 'ready_with_actions', 'limited', 'not_ready']);
            $table->unsignedInteger('mass_g');
            $table->date('next_check');
            $table->date('due_on')->nullable();
            $table->enum('due_kind', ['full', 'quick'])->nullable();
            $table->string('due_because', 10)->nullable();
            $table->unsignedSmallInteger('grace_days');
            $table->boolean('wants_restock');
            $table->date('judged_for');
            $table->date('holds_through')->nullable()->index();
            // Holds all that Today's counts look at.
            $table->index(['verdict', 'due_on', 'grace_days', 'wants_restock'], 'kit_states_counts');
            $table->index(['due_on', 'kit_id']);
        });

        Schema::create('kit_reasons', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('kit_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->enum('severity', ['stop', 'fix', 'note']);
            $table->string('text', 300);
            $table->index(['kit_id', 'position']);
        });

        // The marks of the horizon: on which days something in a kit runs out or a check falls due.
        Schema::create('kit_dates', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('place_id')->constrained();
            $table->date('day');
            $table->enum('kind', ['expiry', 'check']);
            // All that happens on that day, one a line.
            $table->text('texts');
            $table->index(['place_id', 'day']);
        });

        foreach (self::KEPT as $table) {
            foreach (['UPDATE', 'DELETE'] as $change) {
                DB::unprepared("CREATE TRIGGER {$table}_no_".strtolower($change)." BEFORE {$change} ON `{$table}` FOR EACH ROW
                    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was recorded in {$table} is never changed; record a correction.'");
            }
        }
    }
};
