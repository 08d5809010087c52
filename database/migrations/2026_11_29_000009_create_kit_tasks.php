<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Work on a kit that is given to one person, with a day; and what a restock left in a kit until something replaces it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('kit_tasks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('kit_id')->constrained();
            $table->enum('kind', ['check', 'restock', 'replace', 'other']);
            // What is to be done, where the kind does not say it all.
            $table->string('text', 300)->nullable();
            $table->foreignUlid('user_id')->constrained();
            $table->date('due_on');
            // Pieces to be replaced.
            $table->foreignUlid('lot_id')->nullable()->constrained();
            $table->unsignedInteger('quantity')->nullable();
            $table->foreignUlid('given_by_id')->constrained('users');
            $table->date('given_on');
            $table->enum('state', ['open', 'done', 'withdrawn'])->default('open');
            $table->string('outcome', 300)->nullable();
            $table->foreignUlid('closed_by_id')->nullable()->constrained('users');
            $table->date('closed_on')->nullable();
            $table->index(['state', 'due_on']);
            $table->index(['kit_id', 'state']);
            $table->index(['user_id', 'state', 'due_on']);
        });
    }
};
