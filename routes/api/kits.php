<?php

declare(strict_types=1);

use App\Builds\Http\BuildController;
use App\Kits\Http\KitController;
use App\Kits\Http\KitDesignController;
use App\Kits\Http\KitListController;
use App\Kits\Http\KitRecordController;
use App\Kits\Http\PlaceController;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Uses\Http\UseController;
use Illuminate\Support\Facades\Route;

Route::get('places', [KitListController::class, 'places'])->can('view', Place::class)->name('places');
Route::put('places/{id}', [PlaceController::class, 'keep'])->can('plan', Place::class)->name('places.keep');
Route::put('places/{place:id}/order', [PlaceController::class, 'order'])->can('plan', Place::class)->name('places.order');
Route::put('places/{place:id}/retirement', [PlaceController::class, 'retire'])->can('plan', Place::class)->name('places.retire');
Route::get('places/{place:id}/merging', [PlaceController::class, 'merging'])->can('plan', Place::class)->name('places.merging');
Route::put('places/{place:id}/merging', [PlaceController::class, 'merge'])->can('plan', Place::class)->name('places.merge');
Route::get('choices/codes', [KitRecordController::class, 'codes'])->can('equip', Kit::class)->name('kits.codes');
Route::post('kits/several', [KitRecordController::class, 'several'])->can('equip', Kit::class)->name('kits.several');
Route::put('kits/{kit:code}', [KitRecordController::class, 'change'])->can('equip', Kit::class)->name('kits.change');
Route::put('kits/{kit:code}/retirement', [KitRecordController::class, 'retire'])->can('equip', Kit::class)->name('kits.retire');
Route::get('kits', [KitListController::class, 'kits'])->can('view', Kit::class)->name('kits');
Route::post('kits', [KitController::class, 'store'])->can('equip', Kit::class)->name('kits.store');
Route::get('kits/{kit:code}', [KitController::class, 'show'])->can('view', Kit::class)->name('kits.show');
Route::get('kits/{kit:code}/file', [KitController::class, 'file'])->can('file', 'kit')->name('kits.file');
Route::get('kits/{kit:code}/history', [KitController::class, 'history'])->can('view', Kit::class)->name('kits.history');
Route::get('modules', [KitDesignController::class, 'loose'])->can('view', Kit::class)->name('modules');
Route::get('kits/{kit:code}/adoption', [KitDesignController::class, 'adoption'])->can('view', Kit::class)->name('kits.adoption');
Route::post('kits/{kit:code}/adoption', [KitDesignController::class, 'adopt'])->can('restock', Kit::class)->name('kits.adopt');
Route::post('kits/{kit:code}/modules', [KitDesignController::class, 'addModule'])->can('restock', Kit::class)->name('modules.store');
Route::delete('kits/{kit:code}/modules/{module}', [KitDesignController::class, 'removeModule'])->can('restock', Kit::class)->name('modules.destroy');
Route::get('kits/{kit:code}/configuration', [KitDesignController::class, 'configuration'])->can('view', Kit::class)->name('kits.configuration');
Route::put('kits/{kit:code}/configuration', [KitDesignController::class, 'configure'])->can('restock', Kit::class)->name('kits.configure');
Route::put('kits/{kit:code}/exceptions/{id}', [KitDesignController::class, 'except'])->can('equip', Kit::class)->name('exceptions.make');
Route::delete('kits/{kit:code}/exceptions/{id}', [KitDesignController::class, 'endException'])->can('equip', Kit::class)->name('exceptions.end');
Route::post('kits/{kit:code}/judgement', [KitController::class, 'judge'])->can('check', Kit::class)->name('kits.judgement');
Route::put('kits/{kit:code}/seals/{id}', [KitController::class, 'seal'])->can('restock', Kit::class)->name('seals.store');
Route::put('kits/{kit:code}/uses/{id}', [UseController::class, 'use'])->can('restock', Kit::class)->name('uses.store');
Route::get('kits/{kit:code}/build', [BuildController::class, 'plan'])->can('restock', Kit::class)->name('builds.plan');
Route::put('kits/{kit:code}/builds/{id}/beginning', [BuildController::class, 'begin'])->can('restock', Kit::class)->name('builds.begin');
Route::put('kits/{kit:code}/builds/{id}/leaving', [BuildController::class, 'leave'])->can('restock', Kit::class)->name('builds.leave');
Route::post('kits/{kit:code}/builds/{id}/taking', [BuildController::class, 'takeUp'])->can('restock', Kit::class)->name('builds.take');
Route::put('kits/{kit:code}/builds/{id}/end', [BuildController::class, 'end'])->can('restock', Kit::class)->name('builds.end');
Route::put('kits/{kit:code}/builds/{id}', [BuildController::class, 'finish'])->can('restock', Kit::class)->name('builds.finish');
