<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** One reason of a verdict, and what to do about it. */
#[OA\Schema]
final readonly class ReasonResource
{
    public function __construct(
        #[OA\Property]
        public string $kind,
        #[OA\Property(enum: ['stop', 'fix', 'note'])]
        public string $severity,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $todo,
        #[OA\Property(enum: ['restock', 'check', 'build', 'report', 'people', 'none'])]
        public string $job,
        #[OA\Property]
        public ?string $line,
        #[OA\Property]
        public ?string $item,
        #[OA\Property]
        public ?int $row,
        #[OA\Property]
        public ?string $pocket_id,
    ) {
    }
}
