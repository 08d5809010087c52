<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Accounts that are invited, end, and may ask for a second factor; the mail tray. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->date('deactivated_on')->nullable()->index();
            // Encrypted with the key of the instance; null where no second factor is set up.
            $table->text('factor_secret')->nullable();
            // Of the 30 seconds whose code was accepted last: none is accepted twice.
            $table->unsignedBigInteger('factor_used_step')->nullable();
            $table->dateTime('signed_in_at')->nullable();
        });
        Schema::create('recovery_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('user_id')->constrained();
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin');
            $table->dateTime('used_at')->nullable();
            $table->unique(['user_id', 'hash']);
        });
        // An invitation, or a password to be set anew: by a link that is used once.
        Schema::create('account_links', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->enum('kind', ['invitation', 'password']);
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->foreignUlid('user_id')->nullable()->constrained();
            $table->string('name', 120)->nullable();
            $table->string('email', 190)->nullable()->index();
            $table->enum('role', ['lead', 'keeper', 'member', 'auditor'])->nullable();
            $table->foreignUlid('made_by_id')->nullable()->constrained('users');
            $table->dateTime('made_at');
            $table->dateTime('until');
            $table->dateTime('used_at')->nullable();
            $table->dateTime('withdrawn_at')->nullable();
        });
        // Lets in who sets the organisation up, once.
        Schema::create('setup_codes', function (Blueprint $table): void {
            $table->id();
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin');
            $table->dateTime('until');
            $table->unsignedTinyInteger('tries')->default(0);
        });
        // What would have gone to a mail server.
        Schema::create('mail_tray', function (Blueprint $table): void {
            $table->id();
            $table->string('recipient', 190);
            $table->string('subject', 200);
            $table->text('body');
            $table->dateTime('sent_at')->index();
        });
        Schema::table('organisations', function (Blueprint $table): void {
            $table->boolean('factor_required')->default(false);
        });
    }
};
