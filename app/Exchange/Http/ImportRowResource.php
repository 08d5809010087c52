<?php

declare(strict_types=1);

namespace App\Exchange\Http;

use OpenApi\Attributes as OA;

/** One record of a file that is brought in: what would change, or what is wrong and where. */
#[OA\Schema]
final readonly class ImportRowResource
{
    /**
     * @param  list<string>  $texts
     */
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $code,
        #[OA\Property(enum: ['new', 'changed', 'same', 'error'])]
        public string $outcome,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $texts,
    ) {
    }
}
