<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Whether an address and a password belong together. Guesses are counted by the account that the address finds, however it is spelled:
 * each waits longer than the one before, and an hour has only so many. An address that is known takes as long as one that is not.
 */
final class SignInGuard
{
    /** So many fewer than an address may try in a minute may be mistyped before one has to wait. */
    private const EARLIER = 2;

    private const LONGEST_WAIT = 300;

    private const HOUR = 3600;

    public function __construct(private readonly SecurityLog $log)
    {
    }

    /** @throws TooManyRequestsHttpException where somebody has guessed too often */
    public function user(string $email, string $password, string $ip): ?User
    {
        // The database finds an address whatever its accents are: its guesses count for the account, not for the spelling.
        $user = User::query()->where('email', $email)->first();
        $key = 'sign-in:'.($user === null ? 'unknown:'.hash('sha256', Str::lower($email)) : $user->id);
        $this->refuseTooMany($key, $email, $ip);
        // Also where there is no account, a password is compared.
        $isRight = Hash::check($password, $user === null ? self::nobodys() : $user->password);
        if ($user === null || ! $isRight || ! $user->isActive()) {
            $this->failed($key, $email, $ip);

            return null;
        }

        return $user;
    }

    /**
     * Checks a password or code inside an open session. Guesses are slowed and logged as at sign-in, and never delay the person's own
     * sign-in.
     *
     * @param  callable(): bool  $isRight
     *
     * @throws TooManyRequestsHttpException where somebody has guessed too often
     */
    public function confirms(User $user, callable $isRight, string $ip): bool
    {
        $key = "in-session:{$user->id}";
        $this->refuseTooMany($key, $user->email, $ip);
        if (! $isRight()) {
            $this->failed($key, $user->email, $ip, 'refused in an open session');

            return false;
        }
        RateLimiter::clear($key);
        Cache::forget("{$key}:wait");

        return true;
    }

    public function failed(string $key, string $email, string $ip, string $event = 'sign-in refused'): void
    {
        $failures = RateLimiter::hit($key, self::HOUR);
        $over = $failures - config()->integer('auth.tries_per_minute') + self::EARLIER;
        $wait = min(self::LONGEST_WAIT, 2 ** min(10, max(0, $over)) - 1);
        if ($wait > 0) {
            Cache::put("{$key}:wait", now()->addSeconds($wait)->getTimestamp(), $wait);
        }
        $this->log->write($event, null, ['address' => $email, 'from' => $ip]);
    }

    /** The guesses before it are forgotten: whoever knows the password is let in. */
    public function succeeded(User $user, string $ip): void
    {
        RateLimiter::clear("sign-in:{$user->id}");
        Cache::forget("sign-in:{$user->id}:wait");
        $this->log->write('signed in', $user, ['from' => $ip]);
    }

    private function refuseTooMany(string $key, string $email, string $ip): void
    {
        $until = Cache::get("{$key}:wait");
        $wait = is_int($until) ? $until - now()->getTimestamp() : 0;
        if (RateLimiter::tooManyAttempts($key, 4 * config()->integer('auth.tries_per_minute'))) {
            $wait = max($wait, RateLimiter::availableIn($key));
        }
        if ($wait > 0) {
            $this->log->write('sign-in held back', null, ['address' => $email, 'from' => $ip, 'seconds' => $wait]);
            throw new TooManyRequestsHttpException($wait, "Too many tries with this address. Try again in {$wait} seconds.");
        }
    }

    /** A password that nobody has, as costly to compare as any. */
    private static function nobodys(): string
    {
        $kept = Cache::get('nobodys-password');
        if (! is_string($kept) || Hash::needsRehash($kept)) {
            $kept = Hash::make(Str::random(40));
            Cache::forever('nobodys-password', $kept);
        }

        return $kept;
    }
}
