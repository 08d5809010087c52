<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What keeps a kit from being called ready that is not: since when a piece is opened, which lines anyone may use, which items only those
 * who are trained may have at hand, what an item must never stand in for, why a list has no critical line, why a check was signed by
 * another name, and which notes of checks wait for an answer.
 */
return new class extends Migration
{
    private const CONDITION = '^(good|opened( [0-9]{4}-[0-9]{2}-[0-9]{2})?|damaged|soiled|failed)$';

    public function up(): void
    {
        // "opened 2026-11-20" where the day is known: pieces opened on other days do not lie under one row.
        $columns = [
            ['holdings', 'condition', 'NOT NULL'],
            ['check_rows', 'condition', 'NOT NULL'],
            ['movements', 'from_condition', 'NULL'],
            ['movements', 'to_condition', 'NULL'],
        ];
        foreach ($columns as [$table, $column, $null]) {
            DB::statement("ALTER TABLE {$table} MODIFY `{$column}` VARCHAR(17) CHARACTER SET ascii COLLATE ascii_bin {$null}");
            DB::statement("ALTER TABLE {$table} ADD CONSTRAINT {$table}_{$column}_known CHECK (`{$column}` REGEXP '".self::CONDITION."')");
        }
        Schema::table('lines', function (Blueprint $table): void {
            // A public station for bystanders: scope of practice is not looked at.
            $table->boolean('anyone_may_use')->default(false);
        });
        Schema::table('items', function (Blueprint $table): void {
            // Who is not trained for it must not have it at hand: where nobody there may use it, it is removed.
            $table->boolean('only_for_trained')->default(false);
        });
        Schema::create('item_never_for', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            // The class in whose place the item is never used.
            $table->string('class', 120);
            $table->unique(['item_id', 'class']);
        });
        Schema::table('lists', function (Blueprint $table): void {
            // Why it has no critical line, said by who confirmed it.
            $table->string('no_critical_because', 300)->nullable();
        });
        Schema::table('operations', function (Blueprint $table): void {
            // Why it is signed by another name than the account's.
            $table->string('signed_because', 200)->nullable();
        });
        // A note that somebody left at a check waits for the next one on the kit until it is answered. Its text stands in the record.
        Schema::create('check_notes', function (Blueprint $table): void {
            $table->unsignedBigInteger('operation_number')->primary();
            $table->foreign('operation_number')->references('number')->on('operations');
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('answered_by_id')->nullable()->constrained('users');
            $table->string('answer', 500)->nullable();
            $table->dateTime('answered_at')->nullable();
            $table->index(['kit_id', 'answered_at']);
            $table->index(['answered_at', 'operation_number']);
        });
        // Of those that were left before, what the last check of each kit said waits; older ones were followed by another check.
        DB::statement("INSERT INTO check_notes (operation_number, kit_id)
            SELECT operations.number, MIN(checks.kit_id) FROM operations
            JOIN (SELECT kit_id, MAX(operation_number) AS operation_number FROM checks WHERE standing = 'stands' GROUP BY kit_id) AS checks
                ON checks.operation_number = operations.number
            WHERE operations.note IS NOT NULL
            GROUP BY operations.number");
    }
};
