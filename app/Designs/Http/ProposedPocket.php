<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ProposedPocket
{
    /** @param  list<ProposedLine>  $lines */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(ref: ProposedLine::class))]
        public array $lines,
    ) {
    }
}
