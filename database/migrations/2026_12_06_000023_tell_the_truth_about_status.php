<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Adds the status of a kit that nobody checked, the policy for overdue kits, doubts about seals, and a history of statuses. */
return new class extends Migration
{
    private const VERDICTS = "ENUM('ready', 'ready_with_actions', 'no_requirement', 'limited', 'not_checked', 'not_ready') NOT NULL";

    public function up(): void
    {
        foreach (['checks', 'kit_states', 'state_counts', 'kit_shift_states'] as $table) {
            DB::statement("ALTER TABLE {$table} MODIFY verdict ".self::VERDICTS);
        }
        Schema::table('design_editions', function (Blueprint $table): void {
            // Days after which an overdue kit is not ready. Null: its interval, 90 days where it has none.
            $table->unsignedSmallInteger('not_ready_after_days')->nullable();
        });
        Schema::table('kits', function (Blueprint $table): void {
            // The visit in which a wrong number was read on the seal, and the day; null once it was read right, or a full check answered it.
            $table->char('seal_doubt', 26)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->date('seal_doubted_on')->nullable();
            // Since when pieces are in it that no check has counted, or everything was put back after a repack.
            $table->date('recheck_on')->nullable();
        });
        Schema::table('kit_states', function (Blueprint $table): void {
            // Since when it waits to be updated.
            $table->dateTime('waits_since')->nullable();
        });
        // One row for each change of a kit's status or due day; later screens draw and prove from it.
        Schema::create('kit_status_history', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('kit_id')->constrained();
            $table->dateTime('changed_at');
            $table->date('day');
            // Null: the kit was taken out of service, or became a module of another one.
            $table->string('verdict', 20)->nullable();
            $table->date('due_on')->nullable();
            $table->index(['kit_id', 'id']);
        });
        $keep = static fn (string $kit, string $rest): string => "INSERT INTO kit_status_history (kit_id, changed_at, day, verdict, due_on)
            VALUES ({$kit}.kit_id, UTC_TIMESTAMP(), {$rest});";
        DB::unprepared('CREATE TRIGGER kit_states_history_in AFTER INSERT ON kit_states FOR EACH ROW '
            .$keep('NEW', 'NEW.judged_for, NEW.verdict, NEW.due_on'));
        DB::unprepared('CREATE TRIGGER kit_states_history_out AFTER DELETE ON kit_states FOR EACH ROW '
            .$keep('OLD', 'UTC_DATE(), NULL, NULL'));
        DB::unprepared('CREATE TRIGGER kit_states_history AFTER UPDATE ON kit_states FOR EACH ROW
            IF OLD.verdict <> NEW.verdict OR NOT OLD.due_on <=> NEW.due_on THEN '
            .$keep('NEW', 'NEW.judged_for, NEW.verdict, NEW.due_on').' END IF');
        // Pieces that are unaccounted for: of a kit, and in no pocket of it.
        foreach (['from', 'to'] as $end) {
            DB::statement("ALTER TABLE movements DROP CONSTRAINT movements_{$end}");
            DB::statement("ALTER TABLE movements ADD CONSTRAINT movements_{$end} CHECK (
                {$end}_condition IS NULL = ({$end}_kit_id IS NULL AND {$end}_store_id IS NULL))");
        }
        Schema::table('lots', function (Blueprint $table): void {
            $table->date('recalled_on')->nullable()->index();
            $table->string('recalled_because', 300)->nullable();
        });
        DB::statement('ALTER TABLE unsettled MODIFY because VARCHAR(24) NOT NULL');
        Schema::table('unsettled', function (Blueprint $table): void {
            $table->foreignUlid('pieces_kit_id')->nullable()->constrained('kits');
            $table->foreignUlid('pieces_pocket_id')->nullable()->constrained('pockets');
            $table->foreignUlid('pieces_lot_id')->nullable()->constrained('lots');
            $table->string('pieces_condition', 20)->nullable();
            // Below 0 where pieces left the kit, and nobody knows whether before a full check or after it.
            $table->integer('pieces')->nullable();
            // The operation that it disagrees with.
            $table->unsignedBigInteger('other_operation')->nullable();
        });
        DB::statement("ALTER TABLE kit_changes MODIFY field
            ENUM('code', 'name', 'edition', 'configuration', 'place', 'scope', 'parent', 'slot', 'module', 'retired', 'counted') NOT NULL");
        Schema::table('kits', function (Blueprint $table): void {
            // How many entries wait of which nobody knows whether they came before a full check, so that many kits are judged without asking.
            $table->unsignedSmallInteger('open_doubts')->default(0);
        });
        DB::statement("ALTER TABLE seals MODIFY event ENUM('set', 'broken', 'misread', 'read') NOT NULL");
    }
};
