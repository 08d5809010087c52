<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Adds maximum measures, and the people and days for which a list is made with how each line grows with them. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['line_entry' => 'line_entry_id', 'emergency' => 'emergency_entry_id'] as $of => $owner) {
            Schema::rename("{$of}_minima", "{$of}_limits");
            Schema::table("{$of}_limits", function (Blueprint $table): void {
                $table->boolean('is_maximum')->default(false);
            });
        }
        Schema::table('lists', function (Blueprint $table): void {
            // Both are null where nobody said it.
            $table->unsignedSmallInteger('made_for_people')->nullable();
            $table->unsignedSmallInteger('made_for_days')->nullable();
        });
        DB::statement('ALTER TABLE lists ADD CONSTRAINT lists_made_for CHECK (
            (made_for_people IS NULL) = (made_for_days IS NULL) AND COALESCE(made_for_people, 1) > 0 AND COALESCE(made_for_days, 1) > 0)');
        DB::statement("ALTER TABLE `lines` ADD COLUMN per ENUM('trip', 'people', 'person_days') NOT NULL DEFAULT 'trip'");
    }
};
