<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Kits handed back at the end of a shift with what must come back; pieces of a store that are set apart or kept for training; what is
 * lent and borrowed; packs of which a part was put into another container.
 */
return new class extends Migration
{
    private const CONDITION = '^(good|opened( [0-9]{4}-[0-9]{2}-[0-9]{2})?|damaged|soiled|failed|quarantined|training)$';

    public function up(): void
    {
        // Values that are added at the end change no row.
        DB::statement("ALTER TABLE movements MODIFY reason
            ENUM('received', 'restocked', 'counted', 'discarded', 'returned', 'transferred', 'used', 'lost', 'training', 'given',
                'quarantined', 'released', 'lent', 'borrowed', 'repacked') NOT NULL");
        foreach ([['holdings', 'condition'], ['movements', 'from_condition'], ['movements', 'to_condition']] as [$table, $column]) {
            DB::statement("ALTER TABLE {$table} DROP CONSTRAINT {$table}_{$column}_known");
            DB::statement("ALTER TABLE {$table} ADD CONSTRAINT {$table}_{$column}_known CHECK (`{$column}` REGEXP '".self::CONDITION."')");
        }
        // Only a store keeps pieces apart: what lies in a kit is in use.
        DB::statement("ALTER TABLE holdings ADD CONSTRAINT holdings_apart CHECK (`condition` NOT IN ('quarantined', 'training') OR kit_id IS NULL)");
        Schema::table('items', function (Blueprint $table): void {
            // A tool that is used and not used up: asked for when the kit is handed back.
            $table->boolean('comes_back')->default(false);
            // What was used for training goes back into stock once somebody has looked it over; else it stays a training piece.
            $table->boolean('trains_again')->default(false);
        });
        Schema::table('lots', function (Blueprint $table): void {
            // Part of a pack in another container: it keeps its number and date.
            $table->foreignUlid('repacked_from_id')->nullable()->constrained('lots');
        });
        Schema::create('loans', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->enum('way', ['lent', 'borrowed']);
            $table->foreignUlid('store_id')->constrained();
            // A team or organisation, not a person.
            $table->string('partner', 120);
            $table->date('due_on');
            $table->string('note', 300)->nullable();
            $table->foreignUlid('made_by_id')->constrained('users');
            $table->date('made_on');
            $table->date('ended_on')->nullable();
            $table->index(['ended_on', 'due_on']);
            $table->index(['store_id', 'ended_on']);
        });
        // What is still out, or still owed: a projection of the movements of the loan's operations.
        Schema::create('loan_rows', function (Blueprint $table): void {
            $table->foreignUlid('loan_id')->constrained();
            $table->foreignUlid('lot_id')->constrained();
            $table->unsignedInteger('quantity');
            $table->unsignedInteger('back')->default(0);
            $table->primary(['loan_id', 'lot_id']);
        });
        DB::statement('ALTER TABLE loan_rows ADD CONSTRAINT loan_rows_back CHECK (back <= quantity)');
        Schema::create('loan_terms', function (Blueprint $table): void {
            $table->unsignedBigInteger('operation_number');
            $table->foreign('operation_number')->references('number')->on('operations');
            $table->unsignedSmallInteger('position');
            $table->primary(['operation_number', 'position']);
            $table->string('loan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->string('partner', 120);
            $table->date('due_on');
        });
        foreach (['UPDATE', 'DELETE'] as $change) {
            DB::unprepared('CREATE TRIGGER loan_terms_no_'.strtolower($change)." BEFORE {$change} ON `loan_terms` FOR EACH ROW
                SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was recorded in loan_terms is never changed; record a correction.'");
        }
    }
};
