<?php

declare(strict_types=1);

namespace App\Loans\Http;

use OpenApi\Attributes as OA;

/** What is lent or borrowed, with whom and until when. */
#[OA\Schema]
final readonly class LoanResource
{
    /** @param  list<LoanRow>  $rows */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['lent', 'borrowed'])]
        public string $way,
        #[OA\Property]
        public string $store,
        #[OA\Property]
        public string $store_name,
        #[OA\Property]
        public string $partner,
        #[OA\Property(format: 'date')]
        public string $due_on,
        #[OA\Property]
        public int $overdue_days,
        #[OA\Property(nullable: true)]
        public ?string $note,
        #[OA\Property(format: 'date')]
        public string $made_on,
        #[OA\Property(items: new OA\Items(ref: LoanRow::class))]
        public array $rows,
    ) {
    }
}
