<?php

declare(strict_types=1);

use App\Designs\Http\DesignController;
use App\Designs\Models\Design;
use Illuminate\Support\Facades\Route;

Route::get('designs', [DesignController::class, 'designs'])->can('view', Design::class)->name('designs');
Route::get('lists/{list:id}/layout', [DesignController::class, 'layout'])->can('view', Design::class)->name('designs.layout');
Route::put('designs/{id}', [DesignController::class, 'make'])->can('plan', Design::class)->name('designs.make');
Route::put('designs/{design:id}/policy', [DesignController::class, 'policy'])->can('plan', Design::class)->name('designs.policy');
Route::put('designs/{design:id}/retirement', [DesignController::class, 'retire'])->can('plan', Design::class)->name('designs.retire');
