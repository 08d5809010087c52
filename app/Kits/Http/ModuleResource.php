<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A module in a kit, or one that a slot of it asks for and that is not there. */
#[OA\Schema]
final readonly class ModuleResource
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'null: it is missing')]
        public ?string $code,
        #[OA\Property(description: 'what stands before the ids of its pockets, with a dot')]
        public ?string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true, description: 'null: it is carried beside what the design has')]
        public ?string $slot,
        #[OA\Property]
        public bool $sealed_design,
        #[OA\Property(nullable: true)]
        public ?SealResource $seal,
        #[OA\Property]
        public ?string $last_full_on,
    ) {
    }
}
