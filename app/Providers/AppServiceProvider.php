<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Organisation;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
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
