<?php

declare(strict_types=1);

namespace App\Cope\Http;

use App\Lists\Http\EntryResource;
use OpenApi\Attributes as OA;

/** What one casualty takes of one kind. */
#[OA\Schema]
final readonly class EmergencyNeedResource
{
    /** @param  list<EntryResource>  $accepts */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(description: 'one serves all casualties')]
        public bool $reusable,
        #[OA\Property(items: new OA\Items(ref: EntryResource::class))]
        public array $accepts,
    ) {
    }
}
