<?php

declare(strict_types=1);

namespace App\People\Http;

use OpenApi\Attributes as OA;

/** When people serve. */
#[OA\Schema]
final readonly class ShiftResource
{
    /** @param  list<int>  $weekdays */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(type: 'integer'), description: 'on which it begins: 1 Monday to 7 Sunday')]
        public array $weekdays,
        #[OA\Property(description: 'by the clock of the site, such as 08:00')]
        public string $from,
        #[OA\Property(description: 'such as 16:30; at or before from: on the next day')]
        public string $to,
        #[OA\Property(description: 'whether it is on at this moment')]
        public bool $now,
    ) {
    }
}
