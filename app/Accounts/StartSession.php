<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as FrameworkStartSession;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A session is kept for who is signed in. Who only asks for the page, or is not in yet, leaves nothing behind: neither a row nor a cookie.
 * Nobody is led back to an address here, so none is kept: a session that is only read stays as it is.
 */
final class StartSession extends FrameworkStartSession
{
    /** @param  Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if (self::isKept($request->session())) {
            parent::saveSession($request);
        }
    }

    /** @param  Session  $session */
    protected function addCookieToResponse(Response $response, $session): void
    {
        if (self::isKept($session)) {
            parent::addCookieToResponse($response, $session);

            return;
        }
        $settings = $this->manager->getSessionConfig();
        // One of a session that has ended goes.
        if (request()->cookies->has($session->getName())) {
            $response->headers->clearCookie(
                $session->getName(), $settings['path'], $settings['domain'], $settings['secure'], true, $settings['same_site'],
            );
        }
    }

    private static function isKept(Session $session): bool
    {
        $guard = Auth::guard();

        return $guard instanceof SessionGuard && $session->has($guard->getName());
    }
}
