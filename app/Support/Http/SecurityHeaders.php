<?php

declare(strict_types=1);

namespace App\Support\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class SecurityHeaders
{
    // The page's style library writes its rules into a style element, which carries the page's nonce.
    private const POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'nonce-%s'; img-src 'self' data:; ".
        "font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = base64_encode(random_bytes(16));
        $request->attributes->set('style_nonce', $nonce);
        $response = $next($request);
        $headers = $response->headers;
        $headers->set('Content-Security-Policy', sprintf(self::POLICY, $nonce));
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('X-Frame-Options', 'DENY');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        $headers->set('Cross-Origin-Resource-Policy', 'same-origin');
        $headers->set('Permissions-Policy', 'camera=(self), geolocation=(), microphone=()');
        if ($request->isSecure()) {
            $headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        if ($request->is('api/*')) {
            $headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
