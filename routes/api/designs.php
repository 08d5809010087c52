<?php

declare(strict_types=1);

use App\Designs\Http\DesignController;
use App\Designs\Http\DraftController;
use App\Designs\Models\Design;
use Illuminate\Support\Facades\Route;

Route::get('designs', [DesignController::class, 'designs'])->can('view', Design::class)->name('designs');
Route::get('lists/{list:id}/layout', [DraftController::class, 'ofList'])->can('view', Design::class)->name('designs.layout');
Route::get('kits/{kit:code}/pattern', [DraftController::class, 'ofKit'])->can('plan', Design::class)->name('designs.pattern');
Route::get('designs/{design:id}/draft', [DraftController::class, 'ofDesign'])->can('view', Design::class)->name('designs.draft');
Route::post('designs/foresight', [DraftController::class, 'foresee'])->can('plan', Design::class)->name('designs.foresight');
Route::post('designs/{design:id}/effects', [DraftController::class, 'effects'])->can('plan', Design::class)->name('designs.effects');
Route::post('designs/{design:id}/merging', [DraftController::class, 'merge'])->can('plan', Design::class)->name('designs.merging');
Route::put('designs/{id}/editions/{edition}', [DraftController::class, 'publish'])->can('plan', Design::class)->name('designs.publish');
Route::get('choices/editions', [DesignController::class, 'editions'])->can('view', Design::class)->name('designs.editions');
Route::get('beside', [DesignController::class, 'beside'])->can('view', Design::class)->name('designs.beside');
Route::get('following', [DesignController::class, 'following'])->can('view', Design::class)->name('following');
Route::put('designs/{design:id}/lines/{line}/beginning', [DesignController::class, 'begin'])->can('plan', Design::class)->name('designs.begin');
Route::delete('designs/{design:id}/lines/{line}/beginning', [DesignController::class, 'end'])->can('plan', Design::class)->name('designs.end');
Route::put('designs/{design:id}/missed/{id}', [DraftController::class, 'noteMissed'])->can('plan', Design::class)->name('missed.note');
Route::delete('designs/{design:id}/missed/{id}', [DraftController::class, 'removeMissed'])->can('plan', Design::class)->name('missed.remove');
Route::put('designs/{design:id}/policy', [DesignController::class, 'policy'])->can('plan', Design::class)->name('designs.policy');
Route::put('designs/{design:id}/retirement', [DesignController::class, 'retire'])->can('plan', Design::class)->name('designs.retire');
