<?php

declare(strict_types=1);

namespace App\Reports\Http;

use OpenApi\Attributes as OA;

/** Whether a kit has a code for reports without an account. */
#[OA\Schema]
final readonly class ReportCode
{
    public function __construct(
        #[OA\Property(format: 'date-time', nullable: true, description: 'null: it has none')]
        public ?string $made_at,
        #[OA\Property(nullable: true)]
        public ?string $made_by,
        #[OA\Property(nullable: true, description: 'what the code on the label leads to: shown once, when it is made')]
        public ?string $address = null,
    ) {
    }
}
