<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** One piece of advice on how a design is packed. */
#[OA\Schema]
final readonly class ForeseenAdvice
{
    public function __construct(
        #[OA\Property(description: 'what it is about: by this it is set aside')]
        public string $about,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $text,
        #[OA\Property(nullable: true)]
        public ?string $line,
        #[OA\Property(nullable: true)]
        public ?string $compartment,
        #[OA\Property(nullable: true, description: 'why it was set aside; null: it was not')]
        public ?string $set_aside,
    ) {
    }
}
