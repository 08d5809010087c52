<?php

declare(strict_types=1);

use App\Accounts\StartSession;
use App\Judging\Http\Foresee;
use App\Support\DoneAtTheSameMoment;
use App\Support\Http\BodySize;
use App\Support\Http\PlainText;
use App\Support\Http\ProblemResponse;
use App\Support\Http\RejectForgery;
use App\Support\Http\SecurityHeaders;
use App\Support\Http\UpController;
use App\Support\Refused;
use App\Support\Stale;
use App\Support\Trace;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        then: static fn () => Route::get('up', UpController::class)->name('up'),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // From the outside to the inside: whatever answers, its headers are set; too much is refused before it is read.
        $middleware->prepend([SecurityHeaders::class, BodySize::class, PlainText::class]);
        // One origin needs no CORS, and the registry lacks the package that this middleware uses.
        $middleware->remove(HandleCors::class);
        $middleware->group('web', [
            EncryptCookies::class,
            AddQueuedCookiesToResponse::class,
            StartSession::class,
            RejectForgery::class,
            SubstituteBindings::class,
            Foresee::class,
        ]);
        $middleware->redirectGuestsTo(fn (Request $request): ?string => null);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        // What was refused in words is no fault of the application; of a fault of the database the values are nobody's to read.
        $exceptions->dontReport([Stale::class, Refused::class, DoneAtTheSameMoment::class]);
        $exceptions->report(function (QueryException $error): bool {
            Log::error('The database refused, code '.($error->errorInfo[1] ?? $error->getCode()).': '.mb_substr($error->getSql(), 0, 2000), ['at' => (new Trace($error))->lines()]);

            return false;
        });
        $exceptions->render(fn (Throwable $error, Request $request) => ProblemResponse::for($error, $request));
    })
    ->create();

// All that a running instance writes lies in one folder, so that tests and measurements have their own.
$var = getenv('SARCINA_VAR') ?: dirname(__DIR__).'/var/main';
$app->useEnvironmentPath($var);
$app->useStoragePath($var.'/storage');

return $app;
