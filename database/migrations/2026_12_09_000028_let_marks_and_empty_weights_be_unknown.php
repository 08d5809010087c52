<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Lets two items that look alike have no mark until a lead writes one, and a design have no weight of the empty bag until somebody weighs it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE item_told_from MODIFY `by` VARCHAR(120) NULL');
        DB::statement('ALTER TABLE design_editions MODIFY empty_mass_g INT UNSIGNED NULL');
    }
};
