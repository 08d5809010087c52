<?php

declare(strict_types=1);

use App\Assess\Http\AssessmentController;
use App\Assess\Models\Assessment;
use App\People\Http\PeopleController;
use App\People\Models\FirstAider;
use Illuminate\Support\Facades\Route;

Route::get('asks', [AssessmentController::class, 'asks'])->can('view', Assessment::class)->name('asks');
Route::get('shifts', [PeopleController::class, 'shifts'])->can('view', Assessment::class)->name('shifts');
Route::put('shifts', [PeopleController::class, 'keepShifts'])->can('plan', FirstAider::class)->name('shifts.keep');
Route::get('people', [PeopleController::class, 'all'])->can('plan', FirstAider::class)->name('people');
Route::put('people/{id}', [PeopleController::class, 'keep'])->can('plan', FirstAider::class)->name('people.keep');
Route::delete('people/{person:id}', [PeopleController::class, 'remove'])->can('plan', FirstAider::class)->name('people.remove');
Route::get('cover', [PeopleController::class, 'cover'])->can('view', Assessment::class)->name('cover');
Route::put('cover', [PeopleController::class, 'need'])->can('plan', FirstAider::class)->name('cover.need');
