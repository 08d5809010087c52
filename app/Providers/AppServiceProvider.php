<?php

declare(strict_types=1);

namespace App\Providers;

use App\Ledger\CheckpointFiles;
use App\Ledger\Keys;
use App\Models\Organisation;
use App\Support\GuardedConnection;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('mariadb', static fn (mixed ...$arguments): GuardedConnection => new GuardedConnection(...$arguments));
        $this->app->singleton(Keys::class, static fn (): Keys => new Keys(config()->string('ledger.keys'), config()->string('ledger.signing_seed')));
        $this->app->singleton(CheckpointFiles::class, static fn ($app): CheckpointFiles => new CheckpointFiles($app->make(Keys::class), config()->string('ledger.checkpoints')));
        // Read once a request: whose kits these are, and what day it is there.
        $this->app->scoped(\App\Judging\Catalogue::class);
        $this->app->scoped(\App\Judging\Plans::class);
        $this->app->scoped(\App\Judging\Scopes::class);
        $this->app->scoped(\App\Judging\Measures::class);
        $this->app->scoped(Organisation::class, fn (): Organisation => Organisation::current());
    }

    public function boot(): void
    {
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(config()->integer('auth.tries_per_minute'))->by(Str::lower($request->string('email')->toString()).'|'.$request->ip()),
            Limit::perMinute(60)->by((string) $request->ip()),
        ]);
    }
}
