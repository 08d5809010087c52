<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was put in without being staged, where the organisation asks for that. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('organisations', function (Blueprint $table): void {
            $table->boolean('asks_staging')->default(false);
        });
        // A projection of what was said of preparation, the latest of each item in a pocket.
        Schema::create('unstaged', function (Blueprint $table): void {
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('pocket_id')->constrained();
            $table->foreignUlid('item_id')->constrained();
            $table->string('pocket', 60);
            $table->string('task', 120);
            $table->primary(['kit_id', 'pocket_id', 'item_id']);
        });
        Schema::table('kits', function (Blueprint $table): void {
            // So that many kits are judged without asking for any.
            $table->unsignedSmallInteger('not_staged')->default(0);
        });
    }
};
