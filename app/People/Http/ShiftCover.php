<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Kits\Http\PlaceRef;
use OpenApi\Attributes as OA;

/** How many first aiders a place asks for in a shift, trained to what, and how many are posted there with a valid qualification. */
#[OA\Schema]
final readonly class ShiftCover
{
    public function __construct(
        #[OA\Property]
        public PlaceRef $place,
        #[OA\Property]
        public string $shift,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'])]
        public string $scope,
        #[OA\Property]
        public int $needed,
        #[OA\Property]
        public int $there,
    ) {
    }
}
