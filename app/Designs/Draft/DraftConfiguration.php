<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use OpenApi\Attributes as OA;

/** A mission or a season of a design that is being packed, and what is asked for only in kits that are set to it. */
#[OA\Schema]
final readonly class DraftConfiguration
{
    /**
     * @param  list<string>  $lines
     * @param  list<string>  $slots
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'codes')]
        public array $lines,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'ids of compartments')]
        public array $slots,
    ) {
    }
}
