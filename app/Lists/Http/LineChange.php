<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** Changes in one line from one edition to the next. */
#[OA\Schema]
final readonly class LineChange
{
    /**
     * @param  list<string>  $texts
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property(enum: ['added', 'dropped', 'changed', 'same'])]
        public string $kind,
        #[OA\Property]
        public string $need,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $texts,
    ) {
    }
}
