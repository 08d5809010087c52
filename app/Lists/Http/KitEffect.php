<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** What a kit would lack under another edition, beside what it is now. */
#[OA\Schema]
final readonly class KitEffect
{
    /**
     * @param  list<string>  $lacks
     * @param  list<string>  $frees
     */
    public function __construct(
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['ready', 'ready_with_actions', 'limited', 'not_ready'])]
        public string $now,
        #[OA\Property(enum: ['ready', 'ready_with_actions', 'limited', 'not_ready'])]
        public string $then,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $lacks,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $frees,
    ) {
    }
}
