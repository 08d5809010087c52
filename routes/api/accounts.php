<?php

declare(strict_types=1);

use App\Accounts\Http\AccountController;
use App\Accounts\Http\DeviceKeyController;
use App\Accounts\Http\OrganisationController;
use App\Accounts\Models\Organisation;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\Route;

Route::put('device-keys/{device}', DeviceKeyController::class)->can('view', Organisation::class)->name('device-keys');
Route::get('choices/accounts', [AccountController::class, 'choices'])->can('check', Kit::class)->name('accounts.choices');
Route::get('organisation', [OrganisationController::class, 'show'])->can('view', Organisation::class)->name('organisation');
Route::put('organisation', [OrganisationController::class, 'change'])->can('plan', Organisation::class)->name('organisation.change');
