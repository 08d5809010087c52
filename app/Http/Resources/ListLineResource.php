<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** One line of a list. */
#[OA\Schema]
final readonly class ListLineResource
{
    /**
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
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $accepts,
        #[OA\Property]
        public ?string $reason,
    ) {
    }
}
