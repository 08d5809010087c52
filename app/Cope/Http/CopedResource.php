<?php

declare(strict_types=1);

namespace App\Cope\Http;

use OpenApi\Attributes as OA;

/** Supplies for so many casualties of one kind, and what stands in the way of one more. */
#[OA\Schema]
final readonly class CopedResource
{
    /**
     * @param  list<LimitResource>  $limited_by
     * @param  list<ShiftCopingResource>  $shifts
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'], description: 'which scope of practice it asks for')]
        public string $scope,
        #[OA\Property(description: 'whether a lead confirmed what it takes')]
        public bool $confirmed,
        #[OA\Property(description: 'where shifts differ, of the one that may use least')]
        public int $casualties,
        #[OA\Property(enum: ['scope'], nullable: true)]
        public ?string $because,
        #[OA\Property(items: new OA\Items(ref: LimitResource::class))]
        public array $limited_by,
        #[OA\Property(description: 'as the kit\'s design plans it; null where it is the design that was asked for', nullable: true)]
        public ?int $planned,
        #[OA\Property(items: new OA\Items(ref: ShiftCopingResource::class), description: 'where they differ')]
        public array $shifts,
        #[OA\Property(description: 'who deal with one casualty')]
        public int $helpers,
        #[OA\Property(description: 'whether the kit, with all that its design plans, has supplies for it')]
        public bool $is_made_for,
    ) {
    }
}
