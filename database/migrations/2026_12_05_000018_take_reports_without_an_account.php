<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What somebody without an account says was used from a kit, by the second code on its label, until it is confirmed or rejected. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('report_codes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('kit_id')->constrained();
            // Of the token: whoever has the label has it.
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->foreignUlid('made_by_id')->constrained('users');
            $table->dateTime('made_at');
            $table->foreignUlid('withdrawn_by_id')->nullable()->constrained('users');
            $table->dateTime('withdrawn_at')->nullable();
        });
        Schema::create('kit_reports', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('kit_id')->constrained();
            // By the code on its label, or by somebody signed in who may report and not record.
            $table->foreignUlid('report_code_id')->nullable()->constrained();
            $table->foreignUlid('user_id')->nullable()->constrained();
            $table->dateTime('reported_at');
            $table->enum('outcome', ['confirmed', 'rejected'])->nullable();
            $table->foreignUlid('decided_by_id')->nullable()->constrained('users');
            $table->dateTime('decided_at')->nullable();
            $table->string('reason', 200)->nullable();
            // The use that it was recorded as.
            $table->unsignedBigInteger('operation_number')->nullable();
            $table->index(['kit_id', 'outcome', 'reported_at']);
        });
        Schema::create('kit_report_rows', function (Blueprint $table): void {
            $table->foreignUlid('report_id')->constrained('kit_reports');
            $table->foreignUlid('item_id')->constrained();
            $table->unsignedSmallInteger('pieces');
            $table->primary(['report_id', 'item_id']);
        });
        Schema::table('kits', function (Blueprint $table): void {
            // Reports that wait: so that many kits are judged without asking for any.
            $table->unsignedTinyInteger('open_reports')->default(0);
        });
    }
};
