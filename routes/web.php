<?php

declare(strict_types=1);

use App\Http\Controllers\AssessmentController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FloorController;
use App\Http\Controllers\ItemController;
use App\Http\Controllers\KitController;
use App\Http\Controllers\ListController;
use App\Http\Controllers\OpenApiController;
use App\Http\Controllers\OrganisationController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\RestockController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\TodayController;
use App\Models\Assessment;
use App\Models\Design;
use App\Models\FirstAider;
use App\Models\Import;
use App\Models\Item;
use App\Models\Kit;
use App\Models\KitList;
use App\Models\Organisation;
use App\Models\Place;
use App\Models\Store;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('openapi.json', OpenApiController::class)->name('openapi');
    Route::get('session', [SessionController::class, 'show'])->name('session.show');
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in')->name('session.store');
    Route::delete('session', [SessionController::class, 'destroy'])->name('session.destroy');

    // Every route from here names what its caller must be allowed to do.
    Route::middleware('auth')->group(function (): void {
        Route::get('today', TodayController::class)->can('view', Kit::class)->name('today');
        Route::get('find', FindController::class)->can('view', Kit::class)->name('find');
        Route::get('places', [CatalogueController::class, 'places'])->can('view', Place::class)->name('places');
        Route::get('items', [ItemController::class, 'all'])->can('view', Item::class)->name('items');
        Route::post('items', [ItemController::class, 'store'])->can('plan', Item::class)->name('items.store');
        Route::get('items/{item:code}', [ItemController::class, 'show'])->can('view', Item::class)->name('items.show');
        Route::put('items/{item:code}', [ItemController::class, 'change'])->can('plan', Item::class)->name('items.change');
        Route::get('classes', [ItemController::class, 'classes'])->can('view', Item::class)->name('classes');
        Route::put('classes/{class:class}', [ItemController::class, 'nameClass'])->can('plan', Item::class)->name('classes.name');
        Route::get('lists', [ListController::class, 'all'])->can('view', KitList::class)->name('lists');
        Route::post('lists', [ListController::class, 'store'])->can('plan', KitList::class)->name('lists.store');
        Route::get('lists/{list:id}', [ListController::class, 'show'])->can('view', KitList::class)->name('lists.show');
        Route::put('lists/{list:id}', [ListController::class, 'change'])->can('plan', KitList::class)->name('lists.change');
        Route::post('lists/{list:id}/editions', [ListController::class, 'edition'])->can('plan', KitList::class)->name('lists.edition');
        Route::put('lists/{list:id}/confirmations/{line}', [ListController::class, 'compare'])->can('plan', KitList::class)->name('lists.compare');
        Route::post('lists/{list:id}/confirmation', [ListController::class, 'confirm'])->can('plan', KitList::class)->name('lists.confirm');
        Route::get('lists/{list:id}/change', [ListController::class, 'changes'])->can('view', KitList::class)->name('lists.changes');
        Route::post('lists/{list:id}/adoption', [ListController::class, 'adopt'])->can('plan', KitList::class)->name('lists.adopt');
        Route::get('lists/{list:id}/hold', [ListController::class, 'hold'])->can('view', KitList::class)->name('lists.hold');
        Route::get('organisation', [OrganisationController::class, 'show'])->can('view', Organisation::class)->name('organisation');
        Route::put('organisation', [OrganisationController::class, 'change'])->can('plan', Organisation::class)->name('organisation.change');
        Route::get('designs', [CatalogueController::class, 'designs'])->can('view', Design::class)->name('designs');
        Route::get('assessments', [AssessmentController::class, 'all'])->can('view', Assessment::class)->name('assessments');
        Route::post('assessments', [AssessmentController::class, 'store'])->can('plan', Assessment::class)->name('assessments.store');
        Route::get('assessments/{assessment:id}', [AssessmentController::class, 'show'])->can('view', Assessment::class)->name('assessments.show');
        Route::put('assessments/{assessment:id}', [AssessmentController::class, 'change'])->can('plan', Assessment::class)->name('assessments.change');
        Route::get('assessments/{assessment:id}/file', [AssessmentController::class, 'file'])->can('view', Assessment::class)->name('assessments.file');
        Route::put('assessments/{assessment:id}/areas/{id}', [AssessmentController::class, 'answer'])->can('plan', Assessment::class)->name('areas.answer');
        Route::put('assessments/{assessment:id}/signature', [AssessmentController::class, 'sign'])->can('plan', Assessment::class)->name('assessments.sign');
        Route::post('assessments/{assessment:id}/tasks', [AssessmentController::class, 'carryOut'])->can('plan', Assessment::class)->name('assessments.tasks');
        Route::delete('areas/{area:id}', [AssessmentController::class, 'remove'])->can('plan', Assessment::class)->name('areas.remove');
        Route::put('areas/{area:id}/override', [AssessmentController::class, 'override'])->can('plan', Assessment::class)->name('areas.override');
        Route::post('areas/{area:id}/changes', [AssessmentController::class, 'changed'])->can('view', Assessment::class)->name('areas.changes');
        Route::put('tasks/{task:id}', [AssessmentController::class, 'close'])->can('work', Assessment::class)->name('tasks.close');
        Route::get('choices', [AssessmentController::class, 'choices'])->can('view', Assessment::class)->name('choices');
        Route::put('choices/{wanted}', [AssessmentController::class, 'choose'])->can('plan', Assessment::class)->name('choices.choose');
        Route::get('asks', [AssessmentController::class, 'asks'])->can('view', Assessment::class)->name('asks');
        Route::get('people', [PeopleController::class, 'all'])->can('plan', FirstAider::class)->name('people');
        Route::put('people/{id}', [PeopleController::class, 'keep'])->can('plan', FirstAider::class)->name('people.keep');
        Route::delete('people/{person:id}', [PeopleController::class, 'remove'])->can('plan', FirstAider::class)->name('people.remove');
        Route::get('cover', [PeopleController::class, 'cover'])->can('view', Assessment::class)->name('cover');
        Route::put('cover', [PeopleController::class, 'need'])->can('plan', FirstAider::class)->name('cover.need');
        Route::get('exports/{kind}', [ExchangeController::class, 'export'])->can('export', Import::class)->name('exports');
        Route::post('imports', [ExchangeController::class, 'store'])->can('plan', Import::class)->name('imports.store');
        Route::get('imports/{import:id}', [ExchangeController::class, 'show'])->can('plan', Import::class)->name('imports.show');
        Route::post('imports/{import:id}/steps', [ExchangeController::class, 'step'])->can('plan', Import::class)->name('imports.step');
        Route::put('imports/{import:id}/taking', [ExchangeController::class, 'take'])->can('plan', Import::class)->name('imports.take');
        Route::get('stores', [CatalogueController::class, 'stores'])->can('view', Store::class)->name('stores');
        Route::post('kits', [KitController::class, 'store'])->can('equip', Kit::class)->name('kits.store');
        Route::get('kits/{kit:code}', [KitController::class, 'show'])->can('view', Kit::class)->name('kits.show');
        Route::get('kits/{kit:code}/file', [KitController::class, 'file'])->can('export', Kit::class)->name('kits.file');
        Route::get('kits/{kit:code}/history', [KitController::class, 'history'])->can('view', Kit::class)->name('kits.history');
        Route::post('kits/{kit:code}/judgement', [KitController::class, 'judge'])->can('check', Kit::class)->name('kits.judgement');
        Route::get('kits/{kit:code}/restock', [RestockController::class, 'plan'])->can('restock', Kit::class)->name('kits.restock');
        Route::put('kits/{kit:code}/restocks/{id}', [RestockController::class, 'restock'])->can('restock', Kit::class)->name('restocks.store');
        Route::put('checks/{id}', [CheckController::class, 'finish'])->can('check', Kit::class)->name('checks.store');
        Route::get('checks/{check:id}', [CheckController::class, 'show'])->can('view', Kit::class)->name('checks.show');
        Route::get('operations/{operation:id}/copy', [CheckController::class, 'copy'])->can('export', Kit::class)->name('operations.copy');
        Route::get('unsettled', [CheckController::class, 'unsettled'])->can('view', Kit::class)->name('unsettled');
        Route::put('unsettled/{unsettled:id}', [CheckController::class, 'settle'])->can('check', Kit::class)->name('unsettled.settle');
        Route::put('kits/{kit:code}/seals/{id}', [KitController::class, 'seal'])->can('restock', Kit::class)->name('seals.store');
        // What the fastest possible request costs here: session, sign-in, one row by its key (bin/sarcina bench).
        Route::get('floor', FloorController::class)->can('view', Kit::class)->name('floor');
    });

    Route::any('{any}', fn () => abort(404))->where('any', '.*')->name('api.none');
});

Route::get('{any}', PageController::class)->where('any', '(?!api/).*')->name('page');
