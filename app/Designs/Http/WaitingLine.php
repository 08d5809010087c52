<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** A line of a design that is planned without a day: it waits for something, or that has begun. */
#[OA\Schema]
final readonly class WaitingLine
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public string $waits_for,
        #[OA\Property(format: 'date', nullable: true, description: 'from which it is asked for; null: it waits')]
        public ?string $on_day,
        #[OA\Property(nullable: true)]
        public ?string $reason,
        #[OA\Property(nullable: true)]
        public ?string $by,
    ) {
    }
}
