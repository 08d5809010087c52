<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Adds how many helpers an emergency needs. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('emergencies', function (Blueprint $table): void {
            $table->unsignedTinyInteger('helpers')->default(1);
        });
    }
};
