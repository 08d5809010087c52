<?php

declare(strict_types=1);

use App\Kits\Models\Kit;
use App\Tasks\Http\TaskController;
use Illuminate\Support\Facades\Route;

Route::get('kit-tasks', [TaskController::class, 'all'])->can('view', Kit::class)->name('kit-tasks');
Route::put('kits/{kit:code}/tasks/{id}', [TaskController::class, 'give'])->can('answerFor', 'kit')->name('kit-tasks.give');
Route::put('kit-tasks/{kitTask:id}', [TaskController::class, 'close'])->can('close', 'kitTask')->name('kit-tasks.close');
Route::put('kits/{kit:code}/responsible', [TaskController::class, 'responsible'])->can('equip', Kit::class)->name('kits.responsible');
