<?php

declare(strict_types=1);

namespace App\Support\Http;

use App\Support\DatabaseTrouble;
use App\Support\OtherContents;
use App\Support\Refused;
use App\Support\Stale;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Every error of the API as application/problem+json (RFC 9457): what was wrong, where, and what to do. */
final class ProblemResponse
{
    private const RETRY_AFTER_SECONDS = 5;

    public static function for(Throwable $error, Request $request): ?JsonResponse
    {
        if (! $request->is('api/*')) {
            return null;
        }
        $status = self::status($error);
        if ($status >= 500) {
            report($error);
        }
        $isFull = $status === 503 && DatabaseTrouble::isOfFullDisk($error);

        $response = new JsonResponse(array_filter([
            'type' => 'about:blank',
            'title' => $isFull ? 'The disk of the server is full' : self::title($status),
            'status' => $status,
            'detail' => $isFull ? self::whileFull($request->isMethodSafe()) : self::detail($error, $status, $request->isMethodSafe()),
            'errors' => self::errors($error),
            'changes' => $error instanceof Stale ? $error->changes : null,
        ], static fn (mixed $member): bool => $member !== null), $status, ['Content-Type' => 'application/problem+json']);
        if ($error instanceof HttpExceptionInterface) {
            $response->headers->add($error->getHeaders());
            $response->headers->set('Content-Type', 'application/problem+json');
        }
        if ($status === 503) {
            $response->headers->set('Retry-After', (string) self::RETRY_AFTER_SECONDS);
        }

        return $response;
    }

    private static function status(Throwable $error): int
    {
        return match (true) {
            $error instanceof ValidationException, $error instanceof InvalidDocument, $error instanceof Refused => 422,
            $error instanceof AuthenticationException => 401,
            $error instanceof AuthorizationException => 403,
            $error instanceof ModelNotFoundException => 404,
            $error instanceof TokenMismatchException => 419,
            $error instanceof Stale, $error instanceof OtherContents => 409,
            $error instanceof HttpExceptionInterface => $error->getStatusCode(),
            DatabaseTrouble::isBehind($error) => 503,
            default => 500,
        };
    }

    /** @return array<array-key, mixed>|null by field */
    private static function errors(Throwable $error): ?array
    {
        return match (true) {
            $error instanceof ValidationException => $error->errors(),
            $error instanceof Refused => [$error->field => [$error->getMessage()]],
            default => null,
        };
    }

    private static function title(int $status): string
    {
        return match ($status) {
            401 => 'Not signed in',
            403 => 'Not allowed',
            404 => 'Not found',
            405 => 'Not possible here',
            409 => 'Changed in the meantime',
            419 => 'The session has ended',
            422 => 'Not accepted as entered',
            429 => 'Too many tries',
            503 => 'The database does not answer',
            default => $status >= 500 ? 'Something went wrong on the server' : 'Not accepted',
        };
    }

    /** What was said where it was refused. */
    private static function own(Throwable $error): ?string
    {
        return $error instanceof HttpException && $error->getPrevious() === null && $error->getMessage() !== '' ? $error->getMessage() : null;
    }

    private static function whileFull(bool $isReading): string
    {
        return 'Nothing more can be recorded until who looks after the server makes room on it; then it goes on by itself. '.
            ($isReading ? 'Try again then.' : 'It is not known whether this was recorded. Send it again then: what arrives twice is recorded once. '.
                'What you typed is still on this page.');
    }

    private static function detail(Throwable $error, int $status, bool $isReading): string
    {
        return match ($status) {
            401 => 'Sign in again; what you typed is still on this page.',
            403 => self::own($error) ?? 'Your role does not allow this. Ask a lead to do it or to change your role.',
            404 => 'There is nothing of that name here. It may have been renamed; look for it with the finder.',
            409 => $error->getMessage(),
            419 => 'The session has ended. Sign in again; what you typed is still on this page.',
            422 => match (true) {
                $error instanceof InvalidDocument => 'The list and what is added to it do not go together: '.
                    "{$error->problems[0]->message} Nothing was changed.",
                $error instanceof ValidationException, $error instanceof Refused => $error->getMessage(),
                default => self::own($error) ?? 'Look at the fields that are marked.',
            },
            429 => 'Too many tries in a short time. Wait a minute, then try again.',
            default => match (true) {
                $status >= 500 && $isReading => 'Try again in a few seconds.',
                // Where an answer was lost on its way, it may be on record all the same.
                $status >= 500 => 'It is not known whether this was recorded. Send it again: what arrives twice is '.
                    'recorded once. What you typed is still on this page.',
                default => $error->getMessage() ?: 'This request was not understood.',
            },
        };
    }
}
