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
        // Pieces that are unaccounted for: of a kit, and in no pocket of it.
        foreach (['from', 'to'] as $end) {
            DB::statement("ALTER TABLE movements DROP CONSTRAINT movements_{$end}");
            DB::statement("ALTER TABLE movements ADD CONSTRAINT movements_{$end} CHECK (
                {$end}_condition IS NULL = ({$end}_kit_id IS NULL AND {$end}_store_id IS NULL))");
        }
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
