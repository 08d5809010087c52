<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** One line of a list. */
#[OA\Schema]
final readonly class ListLineResource
{
    /**
     * @param  list<EntryResource>  $accepts
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property]
        public string $required,
        #[OA\Property]
        public ?int $quantity,
        #[OA\Property]
        public ?string $total_measure,
        #[OA\Property]
        public ?string $total_quantity,
        #[OA\Property(items: new OA\Items(ref: EntryResource::class))]
        public array $accepts,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property(description: 'for bystanders of a public station: scope of practice is not looked at')]
        public bool $anyone_may_use,
        #[OA\Property(enum: ['trip', 'people', 'person_days'], description: 'what its quantity grows with')]
        public string $per,
        #[OA\Property]
        public ?ConfirmationResource $confirmation,
    ) {
    }
}
