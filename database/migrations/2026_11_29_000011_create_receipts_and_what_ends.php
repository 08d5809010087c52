<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What came with goods that were received; places, stores and designs that are no longer used; codes that a kit had before. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('receipts', function (Blueprint $table): void {
            $table->unsignedBigInteger('operation_number');
            $table->foreign('operation_number')->references('number')->on('operations');
            $table->unsignedSmallInteger('position');
            $table->primary(['operation_number', 'position']);
            $table->foreignUlid('lot_id')->constrained();
            $table->unsignedInteger('packs')->nullable();
            // Of one pack, in minor units of the currency.
            $table->unsignedInteger('price')->nullable();
            $table->char('currency', 3)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->string('supplier', 120)->nullable();
            $table->string('delivery_note', 60)->nullable();
        });
        foreach (['UPDATE', 'DELETE'] as $change) {
            DB::unprepared('CREATE TRIGGER receipts_no_'.strtolower($change)." BEFORE {$change} ON `receipts` FOR EACH ROW
                SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was recorded in receipts is never changed; record a correction.'");
        }
        foreach (['places', 'stores', 'designs'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->date('retired_on')->nullable()->index();
            });
        }
        // What each kit is to be restocked with, as the core answered when it was judged last.
        Schema::create('kit_wants', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('kit_id')->constrained();
            // Null where its line names a class alone, of which the catalogue has no item.
            $table->string('item_code', 60)->nullable()->index();
            $table->string('what', 160);
            $table->unsignedInteger('pieces');
            $table->boolean('is_critical');
        });
        // A code is never given to another kit: whoever reads an old label is led to the kit that had it.
        Schema::create('former_codes', function (Blueprint $table): void {
            $table->string('code', 20)->primary();
            $table->foreignUlid('kit_id')->constrained();
            $table->date('until');
        });
    }
};
