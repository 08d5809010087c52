<?php

declare(strict_types=1);

use App\Accounts\Http\ActiveAccount;
use App\Accounts\Http\LinkController;
use App\Accounts\Http\SessionController;
use App\Accounts\Http\SetupController;
use App\Accounts\Http\WatchRequests;
use App\Accounts\Models\Organisation;
use App\Reports\Http\OpenReportController;
use App\Support\Http\OpenApiController;
use App\Support\Http\PageController;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('session', [SessionController::class, 'show'])->name('session.show');
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in')->name('session.store');
    Route::delete('session', [SessionController::class, 'destroy'])->name('session.destroy');

    // Every route of an area names what its caller must be allowed to do.
    Route::get('setup', [SetupController::class, 'show'])->name('setup.show');
    Route::post('setup', [SetupController::class, 'store'])->middleware('throttle:sign-in')->name('setup.store');
    Route::get('links/{secret}', [LinkController::class, 'show'])->middleware('throttle:sign-in')->name('links.show');
    Route::post('links/{secret}', [LinkController::class, 'use'])->middleware('throttle:sign-in')->name('links.use');
    Route::post('password-links', [LinkController::class, 'password'])->middleware('throttle:sign-in')->name('links.password');

    Route::get('reports/{token}', [OpenReportController::class, 'show'])->middleware('throttle:reports-read')->name('reports.open');
    Route::put('reports/{token}/{id}', [OpenReportController::class, 'store'])->where('id', '[0-9A-Za-z]{26}')
        ->middleware('throttle:reports')->name('reports.open.store');

    Route::middleware(['auth', ActiveAccount::class, WatchRequests::class])->group(function (): void {
        Route::get('openapi.json', OpenApiController::class)->can('view', Organisation::class)->name('openapi');
        foreach (glob(__DIR__.'/api/*.php') ?: [] as $area) {
            require $area;
        }
    });

    Route::any('{any}', fn () => abort(404))->where('any', '.*')->name('api.none');
});

Route::get('{any}', PageController::class)->where('any', '(?!api/|up$).*')->name('page');
