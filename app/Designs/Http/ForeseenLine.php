<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** A line of a design that is being packed, and what fills it. */
#[OA\Schema]
final readonly class ForeseenLine
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property(description: 'whether the design adds it to its list')]
        public bool $added,
        #[OA\Property(description: 'what it asks for, with its unit')]
        public string $required,
        #[OA\Property(description: 'of the item that fills it')]
        public int $pieces,
        #[OA\Property(nullable: true)]
        public ?string $item,
        #[OA\Property(nullable: true)]
        public ?string $item_name,
        #[OA\Property(nullable: true)]
        public ?string $class,
        #[OA\Property(nullable: true)]
        public ?string $caution,
        #[OA\Property(nullable: true, description: 'grams of all its pieces')]
        public ?int $mass_g,
        #[OA\Property(nullable: true, description: 'minutes for which it must have been started before it works')]
        public ?int $start_minutes,
    ) {
    }
}
