<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** The shape of one counted row, as the API's description shows it; CountedRows holds its rules. */
#[OA\Schema(schema: 'CountedRow', required: ['pocket_id', 'item', 'lot', 'expires', 'quantity', 'condition'], properties: [
    new OA\Property(property: 'pocket_id', type: 'string'),
    new OA\Property(property: 'item', type: 'string', description: 'the item\'s code'),
    new OA\Property(property: 'lot', type: 'string', nullable: true),
    new OA\Property(property: 'expires', type: 'string', nullable: true, description: 'as printed: YYYY-MM or YYYY-MM-DD'),
    new OA\Property(property: 'quantity', type: 'integer', minimum: 0, maximum: 100000),
    new OA\Property(property: 'condition', type: 'string', enum: ['good', 'opened', 'damaged', 'soiled', 'failed']),
    new OA\Property(
        property: 'opened_on', type: 'string', format: 'date', nullable: true,
        description: 'of an opened piece, where it is known: it may count through its life after opening',
    ),
    new OA\Property(property: 'new_lot', type: 'boolean', description: 'the lot is not on record, and is printed so on the pack'),
])]
final class CountedRowShape
{
}
