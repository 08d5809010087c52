<?php

declare(strict_types=1);

namespace App\Support\Http;

use OpenApi\Attributes as OA;
use OpenApi\Generator;

/** The OpenAPI 3.1 document of the API, made from the attributes on controllers, requests and resources. */
#[OA\OpenApi(openapi: '3.1.0')]
#[OA\Info(version: '1', title: 'Sarcina')]
#[OA\Server(url: '/api')]
final class Description
{
    public static function json(): string
    {
        return json_encode(self::document(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT)."\n";
    }

    public static function document(): \stdClass
    {
        $folders = [...(glob(app_path('*/Http')) ?: []), app_path('Designs/Draft'), app_path('Support/Listing')];
        $openapi = (new Generator)->setVersion('3.1.0')->generate($folders);
        /** @var \stdClass $document */
        $document = json_decode($openapi?->toJson() ?? '{}', false, 512, JSON_THROW_ON_ERROR);
        foreach (get_object_vars($document->components->schemas) as $schema) {
            if (! $schema instanceof \stdClass) {
                continue;
            }
            // A resource always has all of its members; a request says for itself which it needs.
            if (! isset($schema->required) && isset($schema->properties)) {
                $schema->required = array_keys(get_object_vars($schema->properties));
            }
            $schema->additionalProperties = false;
            foreach (get_object_vars($schema->properties ?? new \stdClass) as $property) {
                if (isset($property->enum) && is_array($property->type ?? null) && in_array('null', $property->type, true)) {
                    $property->enum[] = null;
                }
            }
        }

        return $document;
    }
}
