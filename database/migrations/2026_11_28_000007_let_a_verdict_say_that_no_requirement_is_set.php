<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A kit whose list asks for nothing that is critical or required has no verdict of readiness: no requirement is set. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['checks', 'kit_states', 'state_counts', 'kit_shift_states'] as $table) {
            DB::statement("ALTER TABLE {$table} MODIFY verdict ENUM('ready', 'ready_with_actions', 'no_requirement', 'limited', 'not_ready') NOT NULL");
        }
    }
};
