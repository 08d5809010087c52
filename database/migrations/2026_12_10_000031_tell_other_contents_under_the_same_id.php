<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Keeps by what the contents of a request are known, under the id that it was sent with. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sent_contents', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->char('hash', 64);
        });
    }
};
