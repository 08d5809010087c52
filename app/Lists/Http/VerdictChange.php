<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** How many kits have one verdict now and another one then. */
#[OA\Schema]
final readonly class VerdictChange
{
    public function __construct(
        #[OA\Property(enum: Verdict::class)]
        public string $now,
        #[OA\Property(enum: Verdict::class)]
        public string $then,
        #[OA\Property]
        public int $kits,
    ) {
    }
}
