<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** Notes that were left at checks and wait for an answer. */
#[OA\Schema]
final readonly class NotesResource
{
    /** @param  list<CheckNote>  $notes */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: CheckNote::class), description: 'the oldest first')]
        public array $notes,
        #[OA\Property]
        public int $in_all,
    ) {
    }
}
