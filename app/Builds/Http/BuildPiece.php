<?php

declare(strict_types=1);

namespace App\Builds\Http;

use OpenApi\Attributes as OA;

/** Pieces of one lot that lie in a pocket on record: they come out, and as many as the design asks for go back. */
#[OA\Schema]
final readonly class BuildPiece
{
    /** @param  list<BuildShare>  $back */
    public function __construct(
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property]
        public string $lot_id,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $item_class,
        #[OA\Property(nullable: true)]
        public ?string $caution,
        #[OA\Property(nullable: true)]
        public ?string $lot,
        #[OA\Property(nullable: true)]
        public ?string $expires,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $good_until,
        #[OA\Property(enum: ['good', 'opened', 'damaged', 'soiled', 'failed'])]
        public string $condition,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $opened_on,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(items: new OA\Items(ref: BuildShare::class), description: 'into which pockets so many of them go back')]
        public array $back,
        #[OA\Property(description: 'where the rest belongs', enum: ['store', 'discard'])]
        public string $rest_to,
        #[OA\Property(nullable: true, description: 'why some do not go back, such as expired')]
        public ?string $because,
    ) {
    }
}
