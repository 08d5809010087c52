<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Lists\Http\ListRef;
use OpenApi\Attributes as OA;

/** Which list a kit of a size or a module keeps, of which design a new kit is made, and what one costs by the piece. */
#[OA\Schema]
final readonly class ChoiceResource
{
    public function __construct(
        #[OA\Property]
        public string $wanted,
        #[OA\Property(enum: ['kit', 'module'])]
        public string $what,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?ListRef $list,
        #[OA\Property]
        public ?string $design_id,
        #[OA\Property]
        public ?string $design,
        #[OA\Property]
        public ?int $each,
        #[OA\Property]
        public int $unpriced,
    ) {
    }
}
