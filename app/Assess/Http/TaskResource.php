<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Accounts\Http\AccountRef;
use OpenApi\Attributes as OA;

/** One piece of work that carries a plan out. */
#[OA\Schema]
final readonly class TaskResource
{
    /**
     * @param  list<string>  $modules
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['make', 'move', 'upgrade', 'retire'])]
        public string $kind,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $why,
        #[OA\Property]
        public ?string $area,
        #[OA\Property]
        public ?string $place_id,
        #[OA\Property]
        public ?string $place,
        #[OA\Property]
        public ?string $kit,
        #[OA\Property]
        public ?string $kit_name,
        #[OA\Property]
        public ?string $wanted,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $modules,
        #[OA\Property]
        public ?string $design_id,
        #[OA\Property]
        public ?string $design,
        #[OA\Property(enum: ['open', 'done', 'dropped'])]
        public string $state,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property]
        public ?string $closed_on,
        #[OA\Property]
        public ?string $closed_by,
        #[OA\Property]
        public ?string $made_kit,
        #[OA\Property(description: 'lines of its modules that are short in the kit which they were put into: work is left until they are met')]
        public int $lines_to_fill,
        #[OA\Property(nullable: true, description: 'to whom it was given')]
        public ?AccountRef $user,
        #[OA\Property(format: 'date', nullable: true, description: 'by when')]
        public ?string $due_on,
    ) {
    }
}
