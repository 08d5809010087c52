<?php

declare(strict_types=1);

use App\Kits\Models\Kit;
use App\Loans\Http\LoanController;
use App\Loans\Models\Loan;
use App\Rotations\Http\RotationController;
use App\Rotations\Models\Rotation;
use App\Rounds\Http\RoundController;
use App\Rounds\Models\Round;
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
Route::get('stores/{store:id}/proposed-levels', [StoreController::class, 'proposedLevels'])->can('view', Store::class)
    ->name('stores.proposed-levels');
Route::put('stores/{store:id}/levels/{item:code}', [StoreController::class, 'setLevel'])->can('plan', Store::class)
    ->withoutScopedBindings()->name('stores.level');
Route::get('dates-ahead', [StoreController::class, 'datesAhead'])->can('view', Store::class)->name('dates-ahead');
Route::get('to-buy', [StoreController::class, 'toBuy'])->can('view', Store::class)->name('to-buy');
Route::get('stores/{store:id}', [StoreController::class, 'contents'])->can('view', Store::class)->name('stores.show');
Route::get('kits/{kit:code}/restock', [RestockController::class, 'plan'])->can('restock', Kit::class)->name('kits.restock');
Route::get('pick-list', [RestockController::class, 'pickList'])->can('restock', Kit::class)->name('picklist');
Route::put('kits/{kit:code}/restocks/{id}', [RestockController::class, 'restock'])->can('restock', Kit::class)->name('restocks.store');
Route::get('loans', [LoanController::class, 'all'])->can('view', Loan::class)->name('loans');
Route::put('loans/{loan:id}/returns/{id}', [LoanController::class, 'comeBack'])->can('work', Loan::class)->name('loans.return');
Route::put('loans/{loan:id}/day', [LoanController::class, 'prolong'])->can('work', Loan::class)->name('loans.day');
Route::get('rotation', [RotationController::class, 'show'])->can('view', Rotation::class)->name('rotation');
Route::put('rotations/{id}', [RotationController::class, 'agree'])->can('work', Rotation::class)->name('rotations.agree');
Route::put('rotations/{rotation:id}/end', [RotationController::class, 'end'])->can('work', Rotation::class)->name('rotations.end');
Route::put('rotation-moves/{move:id}/operations/{id}', [RotationController::class, 'carryOut'])->can('work', Rotation::class)
    ->name('rotations.carry-out');
Route::put('rotation-moves/{move:id}/dropping', [RotationController::class, 'drop'])->can('work', Rotation::class)->name('rotations.drop');
Route::get('rounds', [RoundController::class, 'all'])->can('view', Round::class)->name('rounds');
Route::get('rounds/{round:id}', [RoundController::class, 'show'])->can('view', Round::class)->name('rounds.show');
Route::put('rounds/{id}', [RoundController::class, 'begin'])->can('walk', Round::class)->name('rounds.begin');
Route::put('rounds/{round:id}/kits/{kit:code}/skipping', [RoundController::class, 'skip'])->can('walk', Round::class)
    ->withoutScopedBindings()->name('rounds.skip');
Route::put('rounds/{round:id}/end', [RoundController::class, 'end'])->can('walk', Round::class)->name('rounds.end');
