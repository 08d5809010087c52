<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use OpenApi\Attributes as OA;

/** An open task, in words. */
#[OA\Schema]
final readonly class GivenTask
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property(enum: ['check', 'restock', 'replace', 'other'])]
        public string $kind,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $user_id,
        #[OA\Property]
        public string $user,
        #[OA\Property]
        public string $given_by,
        #[OA\Property]
        public string $given_by_id,
        #[OA\Property(format: 'date')]
        public string $due_on,
        #[OA\Property]
        public bool $is_overdue,
    ) {
    }
}
