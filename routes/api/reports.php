<?php

declare(strict_types=1);

use App\Kits\Models\Kit;
use App\Reports\Http\ReportController;
use Illuminate\Support\Facades\Route;

Route::get('kits/{kit:code}/reports', [ReportController::class, 'all'])->can('view', Kit::class)->name('reports');
Route::put('kits/{kit:code}/reports/{id}', [ReportController::class, 'store'])->can('report', Kit::class)->name('reports.store');
// Who may decide hangs on the kit that it is of: the controller asks.
Route::put('reports/{report:id}/rejection', [ReportController::class, 'reject'])->can('check', Kit::class)->name('reports.reject');
Route::put('reports/{report:id}/confirmation', [ReportController::class, 'confirm'])->can('check', Kit::class)->name('reports.confirm');
Route::get('kits/{kit:code}/report-code', [ReportController::class, 'code'])->can('equip', Kit::class)->name('report-code');
Route::post('kits/{kit:code}/report-code', [ReportController::class, 'makeCode'])->can('equip', Kit::class)->name('report-code.make');
Route::delete('kits/{kit:code}/report-code', [ReportController::class, 'withdrawCode'])->can('equip', Kit::class)->name('report-code.withdraw');
