<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use OpenApi\Attributes as OA;

/** An open task of a plan that was given to somebody. */
#[OA\Schema]
final readonly class PlannedWork
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $assessment,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $user,
        #[OA\Property(format: 'date')]
        public string $due_on,
        #[OA\Property]
        public bool $is_overdue,
    ) {
    }
}
