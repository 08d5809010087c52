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
        // What many kits would have added, moved and removed under another edition: worked out by a worker, as of one moment.
        Schema::create('edition_previews', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('from_id')->constrained('lists');
            $table->foreignUlid('to_id')->constrained('lists');
            $table->foreignUlid('user_id')->constrained();
            $table->enum('state', ['waiting', 'running', 'done', 'failed'])->default('waiting');
            $table->unsignedInteger('kits');
            $table->unsignedInteger('done')->default(0);
            // What was known when it was begun (App\Judging\\JudgingVersion), the last operation, and when that was.
            $table->unsignedBigInteger('version');
            $table->unsignedBigInteger('operation');
            $table->date('day');
            $table->dateTime('made_at');
            $table->index(['to_id', 'from_id', 'made_at']);
        });
        Schema::create('edition_preview_kits', function (Blueprint $table): void {
            $table->foreignUlid('edition_preview_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->primary(['edition_preview_id', 'position']);
            $table->enum('now', ['ready', 'ready_with_actions', 'limited', 'not_ready']);
            $table->enum('then', ['ready', 'ready_with_actions', 'limited', 'not_ready']);
            $table->mediumText('effect');
        });
        Schema::create('worker_beats', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->dateTime('beat_at');
        });
    }
};
