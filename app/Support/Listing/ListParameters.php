<?php

declare(strict_types=1);

namespace App\Support\Listing;

use OpenApi\Attributes as OA;

/** What every list takes; named by each in its description. */
#[OA\Parameter(parameter: 'page', name: 'page', in: 'query', required: false, schema: new OA\Schema(type: 'integer', minimum: 1))]
#[OA\Parameter(parameter: 'order', name: 'order', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['up', 'down']))]
#[OA\Parameter(
    parameter: 'q',
    name: 'q',
    in: 'query',
    required: false,
    description: 'words that it begins with, in any order',
    schema: new OA\Schema(type: 'string', maxLength: 120),
)]
#[OA\Parameter(
    parameter: 'format',
    name: 'format',
    in: 'query',
    required: false,
    description: 'csv: all rows as they are filtered and sorted, as a sheet',
    schema: new OA\Schema(type: 'string', enum: ['json', 'csv']),
)]
final class ListParameters
{
}
