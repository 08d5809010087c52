<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** That a check is on record, under which number, and what somebody must still settle. As it was signed it is read by its id. */
#[OA\Schema]
final readonly class FinishedResource
{
    /** @param  list<UnsettledResource>  $unsettled */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $kit,
        #[OA\Property(enum: ['full', 'quick'])]
        public string $kind,
        #[OA\Property(enum: ['stands', 'superseded', 'disputed', 'history'])]
        public string $standing,
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
        #[OA\Property]
        public string $by,
        #[OA\Property(items: new OA\Items(ref: UnsettledResource::class))]
        public array $unsettled,
    ) {
    }
}
