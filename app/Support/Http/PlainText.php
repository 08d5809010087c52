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

    private const MOST_PARAMETERS = 50;

    private const LONGEST = 4000;

    /** Parameters that are objects: measures by name. */
    private const MEASURES = ['least', 'most'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->is('api/*') && $request->query->count() > 0) {
            $fault = self::faultOfQuery($request->query->all());
            if ($fault !== null) {
                return ProblemResponse::for($fault, $request) ?? $next($request);
            }
        }
        $body = $request->isMethodSafe() || ! $request->is('api/*') ? '' : $request->getContent();
        if ($body === '') {
            return $next($request);
        }
        try {
            // An import sends its file as one text. Millions of nested lists would fill the memory: they are refused while parsing.
            $sent = json_decode($body, true, $request->is('api/imports') ? 2 : self::DEPTH, JSON_THROW_ON_ERROR);
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

    /** @param  array<array-key, mixed>  $query */
    private static function faultOfQuery(array $query): ?ValidationException
    {
        if (count($query) > self::MOST_PARAMETERS) {
            return ValidationException::withMessages(['query' => 'There are more than '.self::MOST_PARAMETERS.' parameters.']);
        }
        $faults = [];
        foreach ($query as $name => $value) {
            $fault = match (true) {
                is_array($value) && ! in_array($name, self::MEASURES, true) => 'One text belongs here, not a list.',
                is_string($value) && ! mb_check_encoding($value, 'UTF-8') => 'This cannot be read as UTF-8.',
                is_string($value) && strlen($value) > self::LONGEST => 'This is longer than '.self::LONGEST.' bytes.',
                is_string($value) && Unseen::isIn($value) => 'It holds a character that cannot be seen, or one that turns the direction of the text.',
                default => null,
            };
            if ($fault !== null && count($faults) < self::NAMED) {
                $faults[mb_check_encoding((string) $name, 'UTF-8') ? (string) $name : 'query'] = $fault;
            }
        }

        return $faults === [] ? null : ValidationException::withMessages($faults);
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
