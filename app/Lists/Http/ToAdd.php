<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** What it would take for one line. */
#[OA\Schema]
final readonly class ToAdd
{
    public function __construct(
        #[OA\Property]
        public ?string $line,
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public ?string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public ?int $cost,
        #[OA\Property]
        public ?string $packs,
        #[OA\Property]
        public ?string $caution,
    ) {
    }
}
