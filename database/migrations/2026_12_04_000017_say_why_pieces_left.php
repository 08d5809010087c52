<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Pieces leave a kit for other reasons than care: for training, or given away. */
return new class extends Migration
{
    public function up(): void
    {
        // Values that are added at the end change no row.
        DB::statement("ALTER TABLE movements MODIFY reason
            ENUM('received', 'restocked', 'counted', 'discarded', 'returned', 'transferred', 'used', 'lost', 'training', 'given') NOT NULL");
    }
};
