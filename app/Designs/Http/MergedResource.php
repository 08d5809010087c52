<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Draft\Draft;
use OpenApi\Attributes as OA;

/** What two people changed in one design, joined. */
#[OA\Schema]
final readonly class MergedResource
{
    /**
     * @param  list<string>  $taken
     * @param  list<string>  $clashes
     */
    public function __construct(
        #[OA\Property(description: 'the edition that it goes on from')]
        public string $edition,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public Draft $draft,
        #[OA\Property(description: 'as it was published')]
        public Draft $theirs,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'what the other changed, and is taken')]
        public array $taken,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'what both changed otherwise, and how it stands')]
        public array $clashes,
    ) {
    }
}
