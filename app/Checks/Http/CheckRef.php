<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** A check, shortly. */
#[OA\Schema]
final readonly class CheckRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['full', 'quick'])]
        public string $kind,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $done_at,
        #[OA\Property]
        public string $signed,
        #[OA\Property(description: 'the account')]
        public string $by,
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
    ) {
    }
}
