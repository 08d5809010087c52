<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rounds on which several kits are restocked from one store: what was picked for which, and how far it was walked. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('restock_rounds', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('store_id')->constrained();
            $table->foreignUlid('made_by_id')->constrained('users');
            $table->dateTime('made_at');
            $table->dateTime('ended_at')->nullable()->index();
        });
        Schema::create('restock_round_kits', function (Blueprint $table): void {
            $table->foreignUlid('round_id')->constrained('restock_rounds');
            $table->foreignUlid('kit_id')->constrained();
            // In walking order.
            $table->unsignedSmallInteger('position');
            $table->primary(['round_id', 'kit_id']);
            $table->unsignedBigInteger('operation_number')->nullable();
            $table->foreignUlid('done_by_id')->nullable()->constrained('users');
            $table->dateTime('done_at')->nullable();
            // Passed by, and why.
            $table->string('skipped_because', 200)->nullable();
        });
        // What lies in the box for which kit.
        Schema::create('restock_round_picks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('round_id')->constrained('restock_rounds');
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('lot_id')->constrained();
            $table->unsignedInteger('quantity');
            $table->unique(['round_id', 'kit_id', 'lot_id']);
        });
    }
};
