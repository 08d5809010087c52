<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Kits\Http\KitResource;
use OpenApi\Attributes as OA;

/** What became of something that was sent of a kit: the kit as it is now, and what could not be recorded as it was sent. */
#[OA\Schema]
final readonly class RecordedOfKit
{
    /** @param  list<UnsettledResource>  $unsettled */
    public function __construct(
        #[OA\Property(description: 'the number under which it is on record; null where nothing of it could be recorded')]
        public ?int $operation,
        #[OA\Property(items: new OA\Items(ref: UnsettledResource::class))]
        public array $unsettled,
        #[OA\Property]
        public KitResource $kit,
    ) {
    }
}
