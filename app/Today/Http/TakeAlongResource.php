<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;

/** The addresses of this API that a device copies so that its user can work without a network. */
#[OA\Schema]
final readonly class TakeAlongResource
{
    /** @param  list<string>  $addresses */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $addresses,
    ) {
    }
}
