<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('emergencies', function (Blueprint $table): void {
            $table->char('id', 26)->charset('ascii')->collation('ascii_bin')->primary();
            $table->string('code', 60)->unique();
            $table->string('title', 120);
            $table->string('scope', 20);
            $table->string('basis', 300);
            $table->unsignedSmallInteger('position');
            $table->unsignedInteger('revision')->default(1);
            $table->dateTime('confirmed_at')->nullable();
            $table->char('confirmed_by_id', 26)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->foreign('confirmed_by_id')->references('id')->on('users');
        });
        Schema::create('emergency_needs', function (Blueprint $table): void {
            $table->id();
            $table->char('emergency_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->unsignedSmallInteger('position');
            $table->string('code', 40);
            $table->string('title', 120);
            $table->unsignedInteger('quantity');
            $table->boolean('is_reusable');
            $table->foreign('emergency_id')->references('id')->on('emergencies');
            $table->unique(['emergency_id', 'code']);
        });
        Schema::create('emergency_entries', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('emergency_need_id');
            $table->unsignedSmallInteger('position');
            $table->char('item_id', 26)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->string('class', 120)->nullable();
            $table->foreign('emergency_need_id')->references('id')->on('emergency_needs');
            $table->foreign('item_id')->references('id')->on('items');
            $table->unique(['emergency_need_id', 'position']);
        });
        Schema::create('emergency_minima', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('emergency_entry_id');
            $table->string('measure', 30);
            $table->string('quantity', 40);
            $table->foreign('emergency_entry_id')->references('id')->on('emergency_entries');
        });
        DB::statement('ALTER TABLE emergency_entries ADD CONSTRAINT emergency_entries_one CHECK ((item_id IS NULL) <> (class IS NULL))');
        DB::statement('ALTER TABLE emergency_needs ADD CONSTRAINT emergency_needs_some CHECK (quantity > 0)');
        DB::statement('ALTER TABLE emergencies ADD CONSTRAINT emergencies_scope CHECK (scope IN (\'anyone\', \'first_aider\', \'trained\', \'clinician\'))');
        DB::statement('ALTER TABLE emergencies ADD CONSTRAINT emergencies_confirmed CHECK ((confirmed_at IS NULL) = (confirmed_by_id IS NULL))');
    }

    public function down(): void
    {
        foreach (['emergency_minima', 'emergency_entries', 'emergency_needs', 'emergencies'] as $table) {
            Schema::drop($table);
        }
    }
};
