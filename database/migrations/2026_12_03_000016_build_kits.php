<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Kits that are built step by step: who is at it, what was prepared and weighed; and what was missed once it had been left behind. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('builds', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('begun_by_id')->constrained('users');
            $table->dateTime('begun_at');
            // Handed over half done: the work as the page keeps it, and how far it got.
            $table->foreignUlid('left_by_id')->nullable()->constrained('users');
            $table->dateTime('left_at')->nullable();
            $table->string('left_note', 300)->nullable();
            $table->unsignedSmallInteger('left_version')->nullable();
            $table->mediumText('left_work')->nullable();
            $table->unsignedSmallInteger('pockets_packed')->default(0);
            $table->unsignedSmallInteger('pockets')->default(0);
            $table->foreignUlid('taken_by_id')->nullable()->constrained('users');
            $table->dateTime('taken_at')->nullable();
            $table->foreignUlid('ended_by_id')->nullable()->constrained('users');
            $table->dateTime('ended_at')->nullable();
            $table->enum('outcome', ['recorded', 'put_back', 'nothing_moved'])->nullable();
            $table->index(['kit_id', 'ended_at']);
        });
        Schema::table('kits', function (Blueprint $table): void {
            // While everything may be out of it.
            $table->foreignUlid('build_id')->nullable()->constrained();
        });
        Schema::create('preparations', function (Blueprint $table): void {
            $table->unsignedBigInteger('operation_number');
            $table->foreign('operation_number')->references('number')->on('operations');
            $table->unsignedSmallInteger('position');
            $table->primary(['operation_number', 'position']);
            $table->foreignUlid('kit_id')->constrained();
            $table->string('pocket_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->string('pocket', 60);
            $table->string('item_code', 60);
            $table->string('item_name', 120);
            $table->string('task', 120);
            $table->boolean('is_done');
        });
        Schema::create('weighings', function (Blueprint $table): void {
            $table->unsignedBigInteger('operation_number');
            $table->foreign('operation_number')->references('number')->on('operations');
            $table->unsignedSmallInteger('position');
            $table->primary(['operation_number', 'position']);
            $table->foreignUlid('kit_id')->constrained();
            $table->unsignedInteger('computed_g');
            $table->unsignedInteger('weighed_g');
            $table->string('because', 200)->nullable();
        });
        foreach (['preparations', 'weighings'] as $kept) {
            foreach (['UPDATE', 'DELETE'] as $change) {
                DB::unprepared("CREATE TRIGGER {$kept}_no_".strtolower($change)." BEFORE {$change} ON `{$kept}` FOR EACH ROW
                    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was recorded in {$kept} is never changed; record a correction.'");
            }
        }
        Schema::table('items', function (Blueprint $table): void {
            // Whether what is done to it before it is packed takes its wrapper off: two schools, so a design says which it follows.
            $table->boolean('unwraps')->default(false)->after('staging');
        });
        Schema::create('missed_items', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('design_id')->constrained();
            $table->foreignUlid('item_id')->constrained();
            $table->date('left_on');
            $table->string('note', 200);
            $table->foreignUlid('user_id')->constrained();
            $table->date('noted_on');
        });
    }
};
