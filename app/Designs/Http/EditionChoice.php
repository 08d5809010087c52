<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** A published edition of a design, to be put beside another. */
#[OA\Schema]
final readonly class EditionChoice
{
    /** @param  list<string>  $configurations */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $design,
        #[OA\Property]
        public int $number,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $configurations,
    ) {
    }
}
