<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A kit that was made for a plan without modules was never judged, and on no list: it is now, to be judged again. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            'INSERT INTO kit_states (kit_id, code, walk_order, verdict, mass_g, next_check, band, wants_restock, judged_for, judged_version,
                needs_version, rests_on, needs_operation)
             SELECT kits.id, kits.code, places.walk_order, ?, 0, CURRENT_DATE, 4, 0, CURRENT_DATE, 0, 1, 0, kits.last_operation
             FROM kits JOIN places ON places.id = kits.place_id
             WHERE kits.retired_on IS NULL AND kits.parent_kit_id IS NULL
                AND NOT EXISTS (SELECT 1 FROM kit_states WHERE kit_states.kit_id = kits.id)',
            ['not_ready'],
        );
    }
};
