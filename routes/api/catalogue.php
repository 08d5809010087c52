<?php

declare(strict_types=1);

use App\Catalogue\Http\ItemController;
use App\Catalogue\Models\Item;
use Illuminate\Support\Facades\Route;

Route::get('items', [ItemController::class, 'all'])->can('view', Item::class)->name('items');
Route::get('items/{item:code}/lots', [ItemController::class, 'lots'])->can('view', Item::class)->name('items.lots');
Route::get('choices/items', [ItemController::class, 'choices'])->can('view', Item::class)->name('items.choices');
Route::get('choices/accepted', [ItemController::class, 'accepted'])->can('view', Item::class)->name('items.accepted');
Route::post('items', [ItemController::class, 'store'])->can('plan', Item::class)->name('items.store');
Route::get('items/{item:code}', [ItemController::class, 'show'])->can('view', Item::class)->name('items.show');
Route::put('items/{item:code}', [ItemController::class, 'change'])->can('plan', Item::class)->name('items.change');
Route::get('classes', [ItemController::class, 'classes'])->can('view', Item::class)->name('classes');
Route::put('classes/{class:class}', [ItemController::class, 'nameClass'])->can('plan', Item::class)->name('classes.name');
