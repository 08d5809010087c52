<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a full check counted fewer of than was on record: asked about once, and answered or not. Kept by place and shift, and never by
 * person. And what was agreed to move to where it will be used.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('shortfalls', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('operation_number');
            $table->foreign('operation_number')->references('number')->on('operations');
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('place_id')->constrained();
            // In which it was found; null where none are kept.
            $table->string('shift', 60)->nullable();
            $table->date('day');
            $table->foreignUlid('item_id')->constrained();
            $table->unsignedInteger('pieces');
            $table->enum('why', ['used', 'moved', 'lost', 'miscounted', 'unknown'])->nullable();
            $table->unique(['operation_number', 'item_id']);
            $table->index(['kit_id', 'day']);
            $table->index(['item_id', 'why']);
        });
        Schema::create('rotations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('made_by_id')->constrained('users');
            $table->date('made_on');
            $table->date('ended_on')->nullable()->index();
            // In pieces, and in minor units.
            $table->unsignedInteger('saved');
            $table->unsignedInteger('value');
        });
        Schema::create('rotation_moves', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('rotation_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->foreignUlid('lot_id')->constrained();
            $table->foreignUlid('from_kit_id')->constrained('kits');
            $table->foreignUlid('to_kit_id')->constrained('kits');
            $table->unsignedInteger('quantity');
            $table->unsignedBigInteger('operation_number')->nullable();
            // Not done after all, and why.
            $table->string('dropped_because', 200)->nullable();
        });
        // Pieces of a store that stand in for what has gone until its exchange comes.
        Schema::create('rotation_floats', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('rotation_id')->constrained();
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('store_id')->constrained();
            $table->foreignUlid('lot_id')->constrained();
            $table->string('pocket_id', 60)->charset('ascii')->collation('ascii_bin');
            $table->unsignedInteger('quantity');
        });
    }
};
