<?php

declare(strict_types=1);

namespace App\Support\Http;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/**
 * The page reads its token from the session document, so no cookie that scripts can read is needed. Who is not signed in has no session to
 * hold one: there the header itself is asked for, which no other site's page can send, for it would have to ask first and is not answered.
 */
final class RejectForgery extends ValidateCsrfToken
{
    /** What who is not signed in may send. */
    private const BEFORE = ['session.store', 'session.destroy', 'setup.store', 'links.use', 'links.password', 'reports.open.store'];

    protected $addHttpCookie = false;

    protected function tokensMatch($request): bool
    {
        // A report by a label's code is nobody's, whoever is signed in on that device.
        $isNobodys = $request->user() === null || $request->routeIs('reports.open.store');
        if ($isNobodys && $request->routeIs(...self::BEFORE)) {
            return is_string($request->header('X-CSRF-TOKEN')) && $request->header('X-CSRF-TOKEN') !== ''
                && in_array($request->header('Sec-Fetch-Site'), [null, 'same-origin', 'none'], true);
        }

        return parent::tokensMatch($request);
    }
}
