<?php

declare(strict_types=1);

use App\Support\Spelling;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Teaches the finder the words of kits and places, so that it finds them misspelt by one letter. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['kits', 'places'] as $table) {
            DB::table($table)->orderBy('id')->select(['id', 'name'])->chunk(1000, static function ($rows): void {
                Spelling::learn(Spelling::words(implode(' ', $rows->pluck('name')->all())));
            });
        }
    }
};
