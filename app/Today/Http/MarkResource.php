<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;

/** A day on which things run out or checks fall due. */
#[OA\Schema]
final readonly class MarkResource
{
    /**
     * @param  list<string>  $texts
     */
    public function __construct(
        #[OA\Property]
        public string $day,
        #[OA\Property(enum: ['expiry', 'check'])]
        public string $kind,
        #[OA\Property]
        public string $kit,
        #[OA\Property(description: 'a check that should have been made before today')]
        public bool $is_overdue,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $texts,
    ) {
    }
}
