<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Designs\Http\DesignEditionRef;
use App\Lists\Http\KitEffect;
use OpenApi\Attributes as OA;

/** What a kit would have added, moved and removed if it followed another edition of its design. */
#[OA\Schema]
final readonly class AdoptionResource
{
    public function __construct(
        #[OA\Property]
        public DesignEditionRef $from,
        #[OA\Property]
        public DesignEditionRef $to,
        #[OA\Property]
        public KitEffect $effect,
        #[OA\Property(nullable: true, description: 'name of the other design, where it is one')]
        public ?string $other_design,
    ) {
    }
}
