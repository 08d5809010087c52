<?php

declare(strict_types=1);

namespace App\Support\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** How much may be sent: nothing with a question, a little with what is entered, more with a file. Refused before anything of it is read. */
final class BodySize
{
    /** An empty list, which some clients send with a question. */
    private const NOTHING = 2;

    public const BYTES = 256 * 1024;

    public const FILE_BYTES = 20 * 1024 * 1024;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->is('api/*')) {
            return $next($request);
        }
        $most = match (true) {
            $request->isMethod('GET'), $request->isMethod('HEAD') => self::NOTHING,
            $request->is('api/imports') => self::FILE_BYTES,
            default => self::BYTES,
        };
        // One that says nothing of its length is as long as it is.
        $length = $request->headers->get('Content-Length');
        $sent = is_numeric($length) ? (int) $length : strlen($request->getContent());
        if ($sent <= $most) {
            return $next($request);
        }
        $says = match ($most) {
            self::NOTHING => 'A question is asked without a body. Nothing was read.',
            self::FILE_BYTES => 'A file has at most 20 MB. Divide it, and import one after the other. Nothing was saved.',
            default => 'At most 256 kB are sent at once. Send it in parts. Nothing was saved.',
        };

        return ProblemResponse::for(new HttpException($most === self::NOTHING ? 400 : 413, $says), $request) ?? $next($request);
    }
}
