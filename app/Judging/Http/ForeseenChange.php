<?php

declare(strict_types=1);

namespace App\Judging\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** A kit whose verdict would change. */
#[OA\Schema]
final readonly class ForeseenChange
{
    public function __construct(
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property]
        public string $place,
        #[OA\Property(description: 'in which it would change; null: as a whole')]
        public ?string $shift,
        #[OA\Property(enum: Verdict::class)]
        public string $now,
        #[OA\Property(enum: Verdict::class)]
        public string $then,
        #[OA\Property]
        public bool $worse,
    ) {
    }
}
