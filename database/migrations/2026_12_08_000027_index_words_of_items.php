<?php

declare(strict_types=1);

use App\Catalogue\ItemWords;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Adds the index by which the finder finds items: their words, and each word with one letter left out. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('item_words', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            // 0 is the name; others are other names in alphabetical order.
            $table->unsignedSmallInteger('term');
            $table->unsignedTinyInteger('words');
            $table->string('word', 40)->collation('utf8mb4_bin');
            $table->index(['word', 'words']);
        });
        Schema::create('word_variants', function (Blueprint $table): void {
            $table->string('variant', 40)->collation('utf8mb4_bin');
            $table->string('word', 40)->collation('utf8mb4_bin');
            $table->primary(['variant', 'word']);
        });
        ItemWords::index(array_values(array_map(strval(...), DB::table('items')->pluck('id')->all())));
    }
};
