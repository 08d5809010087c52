<?php

declare(strict_types=1);

use App\Kits\Models\Kit;
use App\Support\Http\FloorController;
use App\Today\Http\FindController;
use App\Today\Http\TakeAlongController;
use App\Today\Http\TodayController;
use Illuminate\Support\Facades\Route;

Route::get('today', TodayController::class)->can('view', Kit::class)->name('today');
Route::get('take-along', TakeAlongController::class)->can('view', Kit::class)->name('take-along');
Route::get('find', FindController::class)->can('view', Kit::class)->name('find');
Route::get('floor', FloorController::class)->can('view', Kit::class)->name('floor');
