<?php

declare(strict_types=1);

use App\Checks\Http\CheckController;
use App\Checks\Http\ShortfallController;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\Route;

Route::put('checks/{id}', [CheckController::class, 'finish'])->can('check', Kit::class)->name('checks.store');
Route::get('checks/{check:id}', [CheckController::class, 'show'])->can('view', Kit::class)->name('checks.show');
Route::get('notes', [CheckController::class, 'notes'])->can('view', Kit::class)->name('notes');
Route::put('checks/{check:id}/answer', [CheckController::class, 'answer'])->can('check', Kit::class)->name('checks.answer');
Route::get('operations/{operation:id}/copy', [CheckController::class, 'copy'])->can('export', Kit::class)->name('operations.copy');
Route::get('unsettled', [CheckController::class, 'unsettled'])->can('view', Kit::class)->name('unsettled');
Route::put('unsettled/{unsettled:id}', [CheckController::class, 'settle'])->can('check', Kit::class)->name('unsettled.settle');
Route::get('kits/{kit:code}/shortfalls', [ShortfallController::class, 'all'])->can('view', Kit::class)->name('shortfalls');
Route::put('kits/{kit:code}/shortfalls/{shortfall}', [ShortfallController::class, 'answer'])->whereNumber('shortfall')
    ->can('check', Kit::class)->name('shortfalls.answer');
