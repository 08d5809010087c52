<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** What was counted beside what was recorded. */
#[OA\Schema]
final readonly class CheckRowResource
{
    public function __construct(
        #[OA\Property]
        public string $pocket,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public ?string $expires,
        #[OA\Property]
        public string $condition,
        #[OA\Property(format: 'date')]
        public ?string $opened_on,
        #[OA\Property]
        public int $recorded,
        #[OA\Property]
        public int $counted,
        #[OA\Property(description: 'on record after the check: other than counted where it arrived late')]
        public int $became,
        #[OA\Property]
        public bool $in_doubt,
    ) {
    }
}
