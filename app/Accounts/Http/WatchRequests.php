<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\User;
use App\Accounts\SecurityLog;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What somebody was kept out of, and which files they took out, goes into the security log. */
final class WatchRequests
{
    public function __construct(private readonly SecurityLog $log)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $user = $request->user();
        $what = match (true) {
            $response->getStatusCode() === 403 => 'refused',
            str_starts_with((string) $response->headers->get('Content-Disposition'), 'attachment') => 'exported',
            default => null,
        };
        if ($what !== null && $user instanceof User) {
            $this->log->write($what, $user, ['what' => "{$request->method()} {$request->path()}", 'from' => (string) $request->ip()]);
        }

        return $response;
    }
}
