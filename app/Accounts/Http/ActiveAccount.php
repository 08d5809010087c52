<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Accounts\SecondFactor;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets in who is active still, and signed in not too long ago; where the organisation asks for a second factor, who has none yet only to
 * where it is set up.
 */
final class ActiveAccount
{
    /** When somebody signed in, in the session. */
    public const SINCE = 'signed_in_since';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User || ! $user->isActive() || self::isTooOld($request)) {
            $request->session()->invalidate();
            throw new AuthenticationException;
        }
        $isOfAccount = $request->is('api/account', 'api/account/*', 'api/device-keys/*');
        if (! $isOfAccount && ! SecondFactor::isSetUp($user) && app(Organisation::class)->factor_required) {
            abort(403, 'Set up your second factor first: your organisation asks everybody for one.');
        }

        return $next($request);
    }

    private static function isTooOld(Request $request): bool
    {
        $since = $request->session()->get(self::SINCE);
        if (! is_int($since)) {
            // Of a session that an earlier version began, the time is counted from now.
            $request->session()->put(self::SINCE, now()->getTimestamp());

            return false;
        }

        return now()->getTimestamp() - $since > 60 * config()->integer('session.longest');
    }
}
