<?php

declare(strict_types=1);

use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FloorController;
use App\Http\Controllers\KitController;
use App\Http\Controllers\OpenApiController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\RestockController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\TodayController;
use App\Models\Check;
use App\Models\Design;
use App\Models\Item;
use App\Models\Kit;
use App\Models\KitList;
use App\Models\Place;
use App\Models\Store;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('openapi.json', OpenApiController::class)->name('openapi');
    Route::get('session', [SessionController::class, 'show'])->name('session.show');
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in')->name('session.store');
    Route::delete('session', [SessionController::class, 'destroy'])->name('session.destroy');

    // Every route from here names what its caller must be allowed to do.
    Route::middleware('auth')->group(function (): void {
        Route::get('today', TodayController::class)->can('view', Kit::class)->name('today');
        Route::get('find', FindController::class)->can('view', Kit::class)->name('find');
        Route::get('places', [CatalogueController::class, 'places'])->can('view', Place::class)->name('places');
        Route::get('items', [CatalogueController::class, 'items'])->can('view', Item::class)->name('items');
        Route::get('items/{item:code}', [CatalogueController::class, 'item'])->can('view', Item::class)->name('items.show');
        Route::get('lists', [CatalogueController::class, 'lists'])->can('view', KitList::class)->name('lists');
        Route::get('designs', [CatalogueController::class, 'designs'])->can('view', Design::class)->name('designs');
        Route::get('stores', [CatalogueController::class, 'stores'])->can('view', Store::class)->name('stores');
        Route::post('kits', [KitController::class, 'store'])->can('equip', Kit::class)->name('kits.store');
        Route::get('kits/{kit:code}', [KitController::class, 'show'])->can('view', Kit::class)->name('kits.show');
        Route::get('kits/{kit:code}/file', [KitController::class, 'file'])->can('export', Kit::class)->name('kits.file');
        Route::get('kits/{kit:code}/history', [KitController::class, 'history'])->can('view', Kit::class)->name('kits.history');
        Route::post('kits/{kit:code}/judgement', [KitController::class, 'judge'])->can('check', Kit::class)->name('kits.judgement');
        Route::get('kits/{kit:code}/restock', [RestockController::class, 'plan'])->can('restock', Kit::class)->name('kits.restock');
        Route::put('kits/{kit:code}/restocks/{id}', [RestockController::class, 'restock'])->can('restock', Kit::class)->name('restocks.store');
        Route::put('checks/{id}', [CheckController::class, 'finish'])->can('check', Kit::class)->name('checks.store');
        Route::get('checks/{check:id}', [CheckController::class, 'show'])->can('view', Check::class)->name('checks.show');
        // What the fastest possible request costs here: session, sign-in, one row by its key (bin/sarcina bench).
        Route::get('floor', FloorController::class)->can('view', Kit::class)->name('floor');
    });

    Route::any('{any}', fn () => abort(404))->where('any', '.*')->name('api.none');
});

Route::get('{any}', PageController::class)->where('any', '(?!api/).*')->name('page');
