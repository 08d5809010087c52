<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('organisations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name');
            $table->string('time_zone', 64);
        });

        Schema::create('users', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->enum('role', ['lead', 'keeper', 'member', 'auditor']);
            $table->timestamps();
        });

        Schema::create('places', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('parent_id')->nullable()->constrained('places');
            $table->enum('kind', ['site', 'building', 'floor', 'spot', 'vehicle', 'person']);
            $table->string('name', 120);
            // "Glasshouses, tropical house", for a row that stands by itself.
            $table->string('path', 400)->unique();
            $table->fullText('path');
            // The order in which one walks past them.
            $table->unsignedInteger('walk_order')->index();
        });

        Schema::create('stores', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('place_id')->constrained();
            $table->string('name', 120)->unique();
        });

        Schema::create('events', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 120);
            $table->date('day')->index();
        });
    }
};
