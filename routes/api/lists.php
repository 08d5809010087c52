<?php

declare(strict_types=1);

use App\Lists\Http\EditionController;
use App\Lists\Http\ListController;
use App\Lists\Http\ReferenceController;
use App\Lists\Models\KitList;
use Illuminate\Support\Facades\Route;

Route::get('reference', [ReferenceController::class, 'show'])->can('plan', KitList::class)->name('reference');
Route::post('reference', [ReferenceController::class, 'take'])->can('plan', KitList::class)->name('reference.take');
Route::get('lists', [ListController::class, 'all'])->can('view', KitList::class)->name('lists');
Route::get('choices/lists', [ListController::class, 'choices'])->can('view', KitList::class)->name('lists.choices');
Route::post('lists', [ListController::class, 'store'])->can('plan', KitList::class)->name('lists.store');
Route::get('lists/{list:id}', [ListController::class, 'show'])->can('view', KitList::class)->name('lists.show');
Route::put('lists/{list:id}', [ListController::class, 'change'])->can('plan', KitList::class)->name('lists.change');
Route::post('lists/{list:id}/editions', [ListController::class, 'edition'])->can('plan', KitList::class)->name('lists.edition');
Route::put('lists/{list:id}/confirmations/{line}', [ListController::class, 'compare'])->can('plan', KitList::class)->name('lists.compare');
Route::post('lists/{list:id}/confirmation', [ListController::class, 'confirm'])->can('plan', KitList::class)->name('lists.confirm');
Route::get('lists/{list:id}/change', [EditionController::class, 'changes'])->can('view', KitList::class)->name('lists.changes');
Route::post('lists/{list:id}/adoption', [EditionController::class, 'adopt'])->can('plan', KitList::class)->name('lists.adopt');
Route::get('lists/{list:id}/comparison', [ListController::class, 'compareWith'])->can('view', KitList::class)->name('lists.comparison');
Route::post('lists/{list:id}/previews', [EditionController::class, 'preview'])->can('plan', KitList::class)->name('lists.preview');
Route::get('previews/{preview:id}', [EditionController::class, 'previewed'])->can('view', KitList::class)->name('previews');
