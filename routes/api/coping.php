<?php

declare(strict_types=1);

use App\Cope\Http\CopingController;
use App\Designs\Models\Design;
use App\Kits\Models\Kit;
use App\Lists\Models\KitList;
use Illuminate\Support\Facades\Route;

Route::get('kits/{kit:code}/coping', [CopingController::class, 'ofKit'])->can('view', Kit::class)->name('kits.coping');
Route::get('designs/{design:id}/coping', [CopingController::class, 'ofDesign'])->can('view', Design::class)->name('designs.coping');
Route::get('emergencies', [CopingController::class, 'all'])->can('view', KitList::class)->name('emergencies');
Route::put('emergencies/{code}', [CopingController::class, 'keep'])->can('plan', KitList::class)->where('code', '[a-z0-9][a-z0-9-]{1,59}')->name('emergencies.keep');
Route::put('emergencies/{code}/confirmation', [CopingController::class, 'confirm'])->can('plan', KitList::class)->name('emergencies.confirm');
