<?php

declare(strict_types=1);

namespace App\Judging\Http;

use OpenApi\Attributes as OA;

/** What a request would do to which kits' verdicts: the answer to it with the header `Foresee: yes`, with which nothing is recorded. */
#[OA\Schema]
final readonly class ForeseenResource
{
    /** @param  list<ForeseenChange>  $changes  what becomes worse first */
    public function __construct(
        #[OA\Property(description: 'kits that it concerns')]
        public int $concerned,
        #[OA\Property(description: 'of how many of them it speaks')]
        public int $judged,
        #[OA\Property(items: new OA\Items(ref: ForeseenChange::class))]
        public array $changes,
    ) {
    }
}
