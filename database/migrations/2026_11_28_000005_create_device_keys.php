<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** By which a person's unsent work is locked on a device: handed out to who is signed in, and to nobody else. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('device_keys', function (Blueprint $table): void {
            $table->foreignUlid('user_id')->constrained();
            $table->char('device_id', 26)->charset('ascii')->collation('ascii_bin');
            // Under the application's own key.
            $table->text('secret');
            $table->dateTime('made_at');
            $table->primary(['user_id', 'device_id']);
        });
    }
};
