<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Support\Http\Description;
use Illuminate\Routing\Route;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use stdClass;
use Symfony\Component\HttpFoundation\Response;

/** Every answer that a test gets, beside what the description of the API promises: its status, and its shape. */
final class Contract
{
    private const ID = 'https://quillhaven.example/api';

    private static ?stdClass $description = null;

    private static ?Validator $validator = null;

    public static function hold(string $method, ?Route $route, Response $response): void
    {
        $type = (string) $response->headers->get('Content-Type');
        $path = $route === null || ! str_starts_with($route->uri(), 'api/') ? null : preg_replace('/:\w+(?=\})/', '', substr($route->uri(), 3));
        if ($path === null || ! isset(self::description()->paths->{$path}) || $response->getStatusCode() >= 500) {
            return;
        }
        $where = "{$method} {$path} answers {$response->getStatusCode()}";
        $described = self::description()->paths->{$path}->{strtolower($method)}->responses->{(string) $response->getStatusCode()} ?? null;
        if ($response->getStatusCode() >= 400) {
            self::holdProblem($where, $type, (string) $response->getContent());

            return;
        }
        Assert::assertNotNull($described, "{$where}, which is not described.");
        if ($response->headers->has('Foreseen')) {
            self::valid($where, (string) $response->getContent(), (object) ['$ref' => '#/components/schemas/ForeseenResource']);

            return;
        }
        $schema = $described->content->{'application/json'}->schema ?? null;
        if ($schema !== null && str_starts_with($type, 'application/json')) {
            self::valid($where, (string) $response->getContent(), $schema);
        }
    }

    private static function holdProblem(string $where, string $type, string $content): void
    {
        Assert::assertStringStartsWith('application/problem+json', $type, $where);
        $problem = json_decode($content);
        foreach (['title', 'detail'] as $key) {
            Assert::assertIsString($problem->{$key} ?? null, "{$where} without a {$key}: {$content}");
            Assert::assertNotSame('', $problem->{$key}, $where);
        }
        foreach ((array) ($problem->errors ?? []) as $field => $messages) {
            Assert::assertIsArray($messages, "{$where}: {$field}");
        }
    }

    private static function valid(string $where, string $content, stdClass $schema): void
    {
        $key = md5((string) json_encode($schema));
        $validator = self::validator();
        $validator->resolver()?->registerRaw((object) ['$id' => self::ID."/{$key}", 'allOf' => [self::absolute($schema)]]);
        $result = $validator->validate(json_decode($content), self::ID."/{$key}");
        $error = $result->error();
        Assert::assertTrue($result->isValid(), $error === null ? $where : "{$where}: ".json_encode((new ErrorFormatter)->format($error)));
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw((object) ['$id' => self::ID, 'components' => self::absolute(self::description()->components)]);
        }

        return self::$validator;
    }

    /** References name the whole description, so that they are found from wherever they stand. */
    private static function absolute(mixed $value): mixed
    {
        return json_decode(str_replace('"#\/components', '"'.str_replace('/', '\/', self::ID).'#\/components', (string) json_encode($value)));
    }

    private static function description(): stdClass
    {
        return self::$description ??= json_decode(Description::json(), false, 512, JSON_THROW_ON_ERROR);
    }
}
