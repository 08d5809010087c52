<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Draft\Draft;
use OpenApi\Attributes as OA;

/** What the packing of a design begins with: an edition of it, or what a new one is made of. */
#[OA\Schema]
final readonly class DraftStart
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'null: a new one')]
        public ?string $design,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true, description: 'the edition that it begins from')]
        public ?string $edition,
        #[OA\Property(nullable: true)]
        public ?int $number,
        #[OA\Property(nullable: true, description: 'the risk that a module of it is for')]
        public ?string $serves,
        #[OA\Property]
        public Draft $draft,
    ) {
    }
}
