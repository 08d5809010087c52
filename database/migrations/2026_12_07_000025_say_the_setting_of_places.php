<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Adds the setting of a place: rates of use are kept apart by it. Null: that of the place above it, else a workplace. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("ALTER TABLE places ADD COLUMN setting ENUM('workplace', 'school', 'sport', 'trip', 'event') NULL");
    }
};
