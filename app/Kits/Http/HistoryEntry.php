<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Checks\Http\CheckRef;
use OpenApi\Attributes as OA;

/** One thing that was done to a kit, with all that belongs to it. */
#[OA\Schema]
final readonly class HistoryEntry
{
    /**
     * @param  list<string>  $notes
     * @param  list<MovementResource>  $movements
     */
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property(description: 'its number in the record')]
        public int $number,
        #[OA\Property(description: 'the kind of operation')]
        public string $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'seals set and broken, and what changed about the kit', items: new OA\Items(type: 'string'))]
        public array $notes,
        #[OA\Property]
        public ?CheckRef $check,
        #[OA\Property(items: new OA\Items(ref: MovementResource::class))]
        public array $movements,
    ) {
    }
}
