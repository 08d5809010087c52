<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** How many kits have a verdict. */
#[OA\Schema]
final readonly class VerdictCount
{
    public function __construct(
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
        #[OA\Property]
        public int $kits,
    ) {
    }
}
