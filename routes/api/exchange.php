<?php

declare(strict_types=1);

use App\Exchange\Http\ExchangeController;
use App\Exchange\Models\Import;
use Illuminate\Support\Facades\Route;

Route::get('exports/{kind}', [ExchangeController::class, 'export'])->can('export', Import::class)->name('exports');
Route::post('imports', [ExchangeController::class, 'store'])->can('plan', Import::class)->name('imports.store');
Route::get('imports/{import:id}', [ExchangeController::class, 'show'])->can('plan', Import::class)->name('imports.show');
Route::put('imports/{import:id}/taking', [ExchangeController::class, 'take'])->can('plan', Import::class)->name('imports.take');
