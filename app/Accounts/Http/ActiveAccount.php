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

/** Lets in who is active still; where the organisation asks for a second factor, who has none yet only to where it is set up. */
final class ActiveAccount
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User || ! $user->isActive()) {
            $request->session()->invalidate();
            throw new AuthenticationException;
        }
        $isOfAccount = $request->is('api/account', 'api/account/*', 'api/device-keys/*');
        if (! $isOfAccount && ! SecondFactor::isSetUp($user) && app(Organisation::class)->factor_required) {
            abort(403, 'Set up your second factor first: your organisation asks everybody for one.');
        }

        return $next($request);
    }
}
