<?php

declare(strict_types=1);

namespace App\Rotations\Http;

use OpenApi\Attributes as OA;

/** What moves to where it will be used: the plan that is being carried out, or what is proposed. */
#[OA\Schema]
final readonly class RotationResource
{
    /** @param  list<MoveResource>  $moves */
    public function __construct(
        #[OA\Property(nullable: true, description: 'of the plan that was agreed to; null: it is only proposed')]
        public ?string $id,
        #[OA\Property(nullable: true)]
        public ?string $made_by,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $made_on,
        #[OA\Property(description: 'pieces that are used and would not be')]
        public int $saved,
        #[OA\Property(description: 'their price, in minor units')]
        public int $value,
        #[OA\Property]
        public string $currency,
        #[OA\Property(items: new OA\Items(ref: MoveResource::class))]
        public array $moves,
        #[OA\Property(description: 'pieces of these items that expire unused all the same')]
        public int $wasted,
    ) {
    }
}
