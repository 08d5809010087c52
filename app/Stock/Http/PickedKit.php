<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** What one kit of a pick list is to have, in the order in which it is done. */
#[OA\Schema]
final readonly class PickedKit
{
    /**
     * @param  list<PickedRow>  $rows
     * @param  list<MissingResource>  $missing
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $place,
        #[OA\Property(format: 'date', description: 'the day until which what goes in must be in date')]
        public string $until,
        #[OA\Property(items: new OA\Items(ref: PickedRow::class))]
        public array $rows,
        #[OA\Property(items: new OA\Items(ref: MissingResource::class), description: 'what the store does not have for it')]
        public array $missing,
    ) {
    }
}
