<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** A line of a list beside what a kit or design holds. */
#[OA\Schema]
final readonly class ComparedLineResource
{
    /**
     * @param  list<string>  $placed
     * @param  list<string>  $accepts
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property]
        public string $required,
        #[OA\Property]
        public string $there,
        #[OA\Property(enum: ['met', 'stand_in', 'short'])]
        public string $outcome,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $placed,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $accepts,
    ) {
    }
}
