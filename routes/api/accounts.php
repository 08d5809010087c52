<?php

declare(strict_types=1);

use App\Accounts\Http\AccountController;
use App\Accounts\Http\DeviceKeyController;
use App\Accounts\Http\OrganisationController;
use App\Accounts\Http\OwnAccountController;
use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\Route;

Route::put('device-keys/{device}/of/{user:id}', [DeviceKeyController::class, 'ofEnded'])->can('plan', Organisation::class)
    ->withoutScopedBindings()->name('device-keys.ended');
Route::put('device-keys/{device}', DeviceKeyController::class)->can('view', Organisation::class)->name('device-keys');
Route::get('choices/accounts', [AccountController::class, 'choices'])->can('check', Kit::class)->name('accounts.choices');
Route::get('organisation', [OrganisationController::class, 'show'])->can('view', Organisation::class)->name('organisation');
Route::put('organisation', [OrganisationController::class, 'change'])->can('plan', Organisation::class)->name('organisation.change');

Route::get('accounts', [AccountController::class, 'all'])->can('plan', User::class)->name('accounts');
Route::post('accounts/invitations', [AccountController::class, 'invite'])->can('plan', User::class)->name('accounts.invite');
Route::delete('accounts/invitations/{id}', [AccountController::class, 'withdraw'])->can('plan', User::class)->name('accounts.withdraw');
Route::put('accounts/{account:id}', [AccountController::class, 'change'])->can('plan', User::class)->name('accounts.change');
Route::put('accounts/{account:id}/deactivation', [AccountController::class, 'deactivate'])->can('plan', User::class)->name('accounts.deactivate');
Route::put('accounts/{account:id}/activation', [AccountController::class, 'activate'])->can('plan', User::class)->name('accounts.activate');
Route::delete('accounts/{account:id}/factor', [AccountController::class, 'removeFactor'])->can('plan', User::class)->name('accounts.factor');
Route::get('mail', [AccountController::class, 'mail'])->can('plan', User::class)->name('mail');
Route::get('account', [OwnAccountController::class, 'show'])->can('view', Organisation::class)->name('account');
Route::put('account/password', [OwnAccountController::class, 'password'])->can('view', Organisation::class)->name('account.password');
Route::delete('account/sessions/{id}', [OwnAccountController::class, 'endSession'])->can('view', Organisation::class)->name('account.sessions');
Route::post('account/factor', [OwnAccountController::class, 'beginFactor'])->can('view', Organisation::class)->name('account.factor.begin');
Route::put('account/factor', [OwnAccountController::class, 'setUpFactor'])->can('view', Organisation::class)->name('account.factor.set');
Route::delete('account/factor', [OwnAccountController::class, 'removeFactor'])->can('view', Organisation::class)->name('account.factor.remove');
