<?php

declare(strict_types=1);

namespace App\Support\Http;

use App\Support\Unseen;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use JsonException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * What is entered can be read as JSON in UTF-8, and holds nothing that cannot be seen: no control characters, and none that turn the
 * direction of a text, by which a name or a lot could read otherwise than it is.
 */
final class PlainText
{
    private const DEPTH = 32;

    private const NAMED = 20;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $body = $request->isMethodSafe() || ! $request->is('api/*') ? '' : $request->getContent();
        if ($body === '') {
            return $next($request);
        }
        try {
            $sent = json_decode($body, true, self::DEPTH, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $fault = new HttpException(400, 'This cannot be read as JSON in UTF-8. Nothing was saved.');

            return ProblemResponse::for($fault, $request) ?? $next($request);
        }
        $unseen = [];
        // The text of a file is looked at record by record.
        self::look($request->is('api/imports') && is_array($sent) ? array_diff_key($sent, ['source' => 0]) : $sent, '', $unseen);
        if ($unseen !== []) {
            $fault = ValidationException::withMessages(array_fill_keys(
                $unseen, 'It holds a character that cannot be seen, or one that turns the direction of the text. Type it again.',
            ));

            return ProblemResponse::for($fault, $request) ?? $next($request);
        }

        return $next($request);
    }

    /** @param  list<string>  $unseen  where something is */
    private static function look(mixed $value, string $path, array &$unseen): void
    {
        if (count($unseen) >= self::NAMED) {
            return;
        }
        if (is_array($value)) {
            foreach ($value as $key => $one) {
                self::look($one, $path === '' ? (string) $key : "{$path}.{$key}", $unseen);
            }
        } elseif (is_string($value) && Unseen::isIn($value)) {
            $unseen[] = $path;
        }
    }
}
