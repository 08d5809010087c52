<?php

declare(strict_types=1);

use App\Kits\Models\Kit;
use App\Stock\Http\RestockController;
use App\Stock\Http\StoreController;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\Route;

Route::get('stores', [StoreController::class, 'all'])->can('view', Store::class)->name('stores');
Route::put('stores/{id}', [StoreController::class, 'keep'])->can('plan', Store::class)->name('stores.keep');
Route::put('stores/{store:id}/retirement', [StoreController::class, 'retire'])->can('plan', Store::class)->name('stores.retire');
Route::put('stores/{store:id}/entries/{id}', [StoreController::class, 'work'])->can('work', Store::class)->name('stores.work');
Route::get('stores/{store:id}/history', [StoreController::class, 'history'])->can('view', Store::class)->name('stores.history');
Route::get('stores/{store:id}/levels', [StoreController::class, 'levels'])->can('view', Store::class)->name('stores.levels');
Route::put('stores/{store:id}/levels/{item:code}', [StoreController::class, 'setLevel'])->can('plan', Store::class)
    ->withoutScopedBindings()->name('stores.level');
Route::get('dates-ahead', [StoreController::class, 'datesAhead'])->can('view', Store::class)->name('dates-ahead');
Route::get('to-buy', [StoreController::class, 'toBuy'])->can('view', Store::class)->name('to-buy');
Route::get('stores/{store:id}', [StoreController::class, 'contents'])->can('view', Store::class)->name('stores.show');
Route::get('kits/{kit:code}/restock', [RestockController::class, 'plan'])->can('restock', Kit::class)->name('kits.restock');
Route::get('pick-list', [RestockController::class, 'pickList'])->can('restock', Kit::class)->name('picklist');
Route::put('kits/{kit:code}/restocks/{id}', [RestockController::class, 'restock'])->can('restock', Kit::class)->name('restocks.store');
