<?php

declare(strict_types=1);

use App\Designs\Http\DesignController;
use App\Designs\Models\Design;
use Illuminate\Support\Facades\Route;

Route::get('designs', [DesignController::class, 'designs'])->can('view', Design::class)->name('designs');
