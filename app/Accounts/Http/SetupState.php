<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class SetupState
{
    /** @param  list<string>  $time_zones */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'to choose from')]
        public array $time_zones,
    ) {
    }
}
