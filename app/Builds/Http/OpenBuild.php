<?php

declare(strict_types=1);

namespace App\Builds\Http;

use OpenApi\Attributes as OA;

/** Somebody packs the kit anew. */
#[OA\Schema]
final readonly class OpenBuild
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(description: 'who began it')]
        public string $by,
        #[OA\Property(format: 'date-time')]
        public string $begun_at,
        #[OA\Property(nullable: true, description: 'who handed it over half done')]
        public ?string $left_by,
        #[OA\Property(format: 'date-time', nullable: true)]
        public ?string $left_at,
        #[OA\Property(nullable: true)]
        public ?string $left_note,
        #[OA\Property]
        public int $pockets_packed,
        #[OA\Property]
        public int $pockets,
        #[OA\Property(nullable: true, description: 'the account that has it since')]
        public ?string $taken_by_id,
        #[OA\Property(nullable: true)]
        public ?string $taken_by,
        #[OA\Property(format: 'date-time', nullable: true)]
        public ?string $taken_at,
    ) {
    }
}
