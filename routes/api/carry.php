<?php

declare(strict_types=1);

use App\Carry\Http\CarryController;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\Route;

Route::get('how-many', [CarryController::class, 'show'])->can('view', Kit::class)->name('how-many');
