<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What all machines of an instance share and none keeps on its own disk: sessions, cache, locks, throttles, and the work that waits. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id', 60)->charset('ascii')->collation('ascii_bin')->primary();
            $table->string('user_id', 26)->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->unsignedInteger('last_activity')->index();
        });
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key', 190)->charset('ascii')->collation('ascii_bin')->primary();
            $table->mediumText('value');
            $table->unsignedInteger('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key', 190)->charset('ascii')->collation('ascii_bin')->primary();
            $table->string('owner', 60);
            $table->unsignedInteger('expiration')->index();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue', 40)->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 40)->unique();
            $table->string('connection', 40);
            $table->string('queue', 40);
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        Schema::create('worker_beats', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->dateTime('beat_at');
        });
    }
};
