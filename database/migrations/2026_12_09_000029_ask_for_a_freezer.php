<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Lets an assessment record whether an area has a freezer for cold packs; null: nobody answered. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('assessment_areas', static function (Blueprint $table): void {
            $table->boolean('has_freezer')->nullable()->after('running_water');
        });
    }
};
