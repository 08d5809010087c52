<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** What happened to a kit at one time: a check, or movements made in one go. */
#[OA\Schema]
final readonly class HistoryEntry
{
    /**
     * @param  list<MovementResource>  $movements
     */
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property(enum: ['check', 'restocked', 'used', 'counted', 'received', 'discarded', 'returned'])]
        public string $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public ?CheckRef $check,
        #[OA\Property(items: new OA\Items(ref: MovementResource::class))]
        public array $movements,
    ) {
    }
}
