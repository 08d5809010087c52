<?php

declare(strict_types=1);

namespace App\Loans\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class LoanRow
{
    public function __construct(
        #[OA\Property]
        public string $lot_id,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $lot,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(description: 'of them, how many have come back')]
        public int $back,
    ) {
    }
}
