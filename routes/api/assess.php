<?php

declare(strict_types=1);

use App\Assess\Http\AssessmentController;
use App\Assess\Models\Assessment;
use Illuminate\Support\Facades\Route;

Route::get('assessments', [AssessmentController::class, 'all'])->can('view', Assessment::class)->name('assessments');
Route::post('assessments', [AssessmentController::class, 'store'])->can('plan', Assessment::class)->name('assessments.store');
Route::get('assessments/{assessment:id}', [AssessmentController::class, 'show'])->can('view', Assessment::class)->name('assessments.show');
Route::put('assessments/{assessment:id}', [AssessmentController::class, 'change'])->can('plan', Assessment::class)->name('assessments.change');
Route::get('assessments/{assessment:id}/file', [AssessmentController::class, 'file'])->can('view', Assessment::class)->name('assessments.file');
Route::put('assessments/{assessment:id}/areas/{id}', [AssessmentController::class, 'answer'])->can('plan', Assessment::class)->name('areas.answer');
Route::put('assessments/{assessment:id}/signature', [AssessmentController::class, 'sign'])->can('plan', Assessment::class)->name('assessments.sign');
Route::post(
    'assessments/{assessment:id}/tasks',
    [AssessmentController::class, 'carryOut'],
)->can('plan', Assessment::class)->name('assessments.tasks');
Route::delete('areas/{area:id}', [AssessmentController::class, 'remove'])->can('plan', Assessment::class)->name('areas.remove');
Route::put('areas/{area:id}/override', [AssessmentController::class, 'override'])->can('plan', Assessment::class)->name('areas.override');
Route::post('areas/{area:id}/changes', [AssessmentController::class, 'changed'])->can('report', Assessment::class)->name('areas.changes');
Route::put('tasks/{task:id}/given', [AssessmentController::class, 'give'])->can('plan', Assessment::class)->name('tasks.give');
Route::put('tasks/{task:id}', [AssessmentController::class, 'close'])->can('work', Assessment::class)->name('tasks.close');
Route::get('choices', [AssessmentController::class, 'choices'])->can('view', Assessment::class)->name('choices');
Route::put('choices/{wanted}', [AssessmentController::class, 'choose'])->can('plan', Assessment::class)->name('choices.choose');
