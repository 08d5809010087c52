<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Keeps a hash of the contents of each request, under the id of its operation. */
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
