<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\User;
use App\Accounts\SecurityLog;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What somebody was kept out of, which files they took out, and what they did with accounts goes into the security log. */
final class WatchRequests
{
    /** By the name of the route. */
    private const DONE = [
        'accounts.invite' => 'invited', 'accounts.withdraw' => 'invitation withdrawn', 'accounts.change' => 'account changed',
        'accounts.deactivate' => 'account ended', 'accounts.activate' => 'account open again',
        'accounts.factor' => 'second factor of another removed',
        'account.password' => 'password changed', 'account.sessions' => 'session ended', 'account.factor.set' => 'second factor set up',
        'account.factor.remove' => 'second factor removed', 'organisation.change' => 'organisation changed', 'mail' => 'mail tray read',
    ];

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
            $response->isSuccessful() => self::DONE[(string) $request->route()?->getName()] ?? null,
            default => null,
        };
        if ($what !== null && $user instanceof User) {
            $email = $what === 'invited' ? $request->string('email')->value() : '';
            $this->log->write($what, $user, [
                'what' => "{$request->method()} {$request->path()}", 'from' => (string) $request->ip(),
                ...($email === '' ? [] : ['address' => $email]),
            ]);
        }

        return $response;
    }
}
