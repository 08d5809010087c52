<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** Something that arrived late and could not be recorded as it was sent. */
#[OA\Schema]
final readonly class UnsettledResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property(enum: [
            'kit_retired', 'not_there', 'moved_while_counting', 'checks_disagree', 'no_such_pocket', 'counted_later', 'order_in_doubt', 'answered',
            'lost_tail',
        ])]
        public string $because,
        #[OA\Property(description: 'what was sent, by whom and when')]
        public string $title,
        #[OA\Property(description: 'what of it needs somebody')]
        public string $text,
        #[OA\Property(description: 'the id of the check or restock')]
        public string $operation,
        #[OA\Property(description: 'its number where the rest of it is on record')]
        public ?int $number,
        #[OA\Property(description: 'pieces that are unaccounted for until it is settled')]
        public ?int $pieces,
    ) {
    }
}
