<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** A kit that keeps an older edition of its design. */
#[OA\Schema]
final readonly class KitToFollowEdition
{
    public function __construct(
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $design,
        #[OA\Property(description: 'that it keeps')]
        public int $number,
        #[OA\Property]
        public int $latest,
        #[OA\Property(nullable: true, description: 'the exception of it that has ended')]
        public ?string $ended,
        #[OA\Property(format: 'date', nullable: true, description: 'on which it ended')]
        public ?string $ended_on,
    ) {
    }
}
