<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\Mail\TrayTransport;
use App\Accounts\Models\Organisation;
use App\Accounts\SharedSessions;
use App\Ledger\CheckpointFiles;
use App\Ledger\HeadFile;
use App\Ledger\Keys;
use App\Support\GuardedConnection;
use App\Support\Workers;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\DatabaseManager;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('mariadb', static fn (mixed ...$arguments): GuardedConnection => new GuardedConnection(...$arguments));
        $this->app->singleton(
            Keys::class,
            static fn (): Keys => new Keys(config()->string('ledger.keys'), config()->string('ledger.signing_seed')),
        );
        $this->app->bind(\App\Lists\TakesReference::class, 'Database\\Seeders\\ReferenceSeeder');
        $this->app->singleton(
            CheckpointFiles::class,
            static fn ($app): CheckpointFiles => new CheckpointFiles($app->make(Keys::class), config()->string('ledger.checkpoints')),
        );
        $this->app->singleton(
            HeadFile::class,
            static fn ($app): HeadFile => new HeadFile($app->make(Keys::class), config()->string('ledger.checkpoints')),
        );
        // Read once a request: whose kits these are, and what day it is there.
        $this->app->scoped(\App\Catalogue\Catalogue::class);
        $this->app->scoped(\App\Judging\KitPlans::class);
        $this->app->scoped(\App\Judging\KitContents::class);
        $this->app->scoped(\App\People\Scopes::class);
        $this->app->scoped(\App\Kits\PlacesAbove::class);
        $this->app->scoped(\App\Judging\JudgingVersion::class);
        $this->app->scoped(\App\Catalogue\Measures::class);
        $this->app->scoped(Organisation::class, fn (): Organisation => Organisation::current());
    }

    public function boot(): void
    {
        Session::extend('shared', static fn (Application $app): SharedSessions => new SharedSessions(
            $app->make(DatabaseManager::class)->connection(),
            config()->string('session.table'),
            config()->integer('session.lifetime'),
            $app,
        ));
        Mail::extend('tray', static fn (): TrayTransport => new TrayTransport);
        // Links in mails use the configured address, never the host that a request claims.
        URL::useOrigin(config()->string('app.url'));
        URL::forceScheme((string) parse_url(config()->string('app.url'), PHP_URL_SCHEME));
        $workers = new Workers;
        Queue::looping(static fn () => $workers->isAlive());
        // A policy stands in its area, beside the models' folder.
        Gate::guessPolicyNamesUsing(static fn (string $model): string => str_replace('\\Models\\', '\\', $model).'Policy');
        // A workplace shares one address. Each real code or link has its own count; made-up ones share one.
        $known = static fn (Request $request, string $name, string $table): string => is_string($request->route($name))
            && DB::table($table)->where('hash', hash('sha256', $request->route($name)))->exists() ? $request->route($name) : 'unknown';
        $ofCode = static fn (int $anHour, Request $request): Limit => Limit::perHour($anHour)
            ->by("{$anHour}|{$request->ip()}|{$known($request, 'token', 'report_codes')}");
        RateLimiter::for('reports', static fn (Request $request): Limit => $ofCode(20, $request));
        RateLimiter::for('reports-read', static fn (Request $request): Limit => $ofCode(120, $request));
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(config()->integer('auth.tries_per_minute'))
            ->by(Str::lower(is_string($request->input('email')) ? $request->input('email') : '')
                ."|{$known($request, 'secret', 'account_links')}|{$request->ip()}"));
    }
}
