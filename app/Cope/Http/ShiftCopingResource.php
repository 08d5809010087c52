<?php

declare(strict_types=1);

namespace App\Cope\Http;

use OpenApi\Attributes as OA;

/** For how many casualties the supplies suffice in one shift, by what those posted to it may use. */
#[OA\Schema]
final readonly class ShiftCopingResource
{
    public function __construct(
        #[OA\Property]
        public string $shift,
        #[OA\Property]
        public int $casualties,
        #[OA\Property(enum: ['scope'], nullable: true)]
        public ?string $because,
    ) {
    }
}
