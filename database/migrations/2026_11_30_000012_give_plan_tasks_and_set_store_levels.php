<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A task of a plan is given to one person, with a day; a store has a level for an item: the least, and up to which it is filled. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plan_tasks', function (Blueprint $table): void {
            $table->foreignUlid('user_id')->nullable()->constrained();
            $table->date('due_on')->nullable();
            $table->index(['state', 'due_on']);
        });
        Schema::create('store_levels', function (Blueprint $table): void {
            $table->foreignUlid('store_id')->constrained();
            $table->foreignUlid('item_id')->constrained();
            // In pieces.
            $table->unsignedInteger('least');
            $table->unsignedInteger('target');
            $table->primary(['store_id', 'item_id']);
        });
    }
};
