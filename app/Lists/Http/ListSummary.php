<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** An edition of a list, without its lines. */
#[OA\Schema]
final readonly class ListSummary
{
    /**
     * @param  list<string>  $designs
     * @param  list<string>  $serves
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $size,
        #[OA\Property]
        public string $edition,
        #[OA\Property]
        public string $basis,
        #[OA\Property(enum: ['starter', 'house'])]
        public string $origin,
        #[OA\Property(enum: ['kit', 'module'])]
        public string $kind,
        #[OA\Property]
        public bool $confirmed,
        #[OA\Property]
        public ?string $confirmed_on,
        #[OA\Property]
        public ?string $confirmed_by,
        #[OA\Property]
        public int $lines,
        #[OA\Property]
        public int $compared,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $designs,
        #[OA\Property]
        public int $kits,
        #[OA\Property]
        public bool $latest,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $serves,
    ) {
    }
}
