<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** One line of a kit's list, where it lives and how far it is met. */
#[OA\Schema]
final readonly class LineResource
{
    /**
     * @param  list<string>  $accepts
     * @param  list<ShareResource>  $shares
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public ?string $purpose,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property(description: 'what its item is taken for, and by what they are told apart', nullable: true)]
        public ?string $told_from,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property]
        public ?string $pocket_id,
        #[OA\Property]
        public ?string $item,
        #[OA\Property(description: 'of the item, or the one that the line names first', nullable: true)]
        public ?string $item_class,
        #[OA\Property]
        public ?string $item_name,
        #[OA\Property]
        public string $count_unit,
        #[OA\Property]
        public string $required,
        #[OA\Property]
        public string $effective,
        #[OA\Property]
        public ?int $reserve,
        #[OA\Property]
        public string $short,
        #[OA\Property(enum: ['met', 'early', 'reserve', 'short', 'none'])]
        public string $state,
        #[OA\Property(description: 'Pieces that count for this line and are shown under another one, or in another pocket.')]
        public int $elsewhere,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $accepts,
        #[OA\Property(items: new OA\Items(ref: ShareResource::class), description: 'where it is split over several pockets')]
        public array $shares,
        #[OA\Property(description: 'A running check shows no status until all of these lines are counted.')]
        public bool $count_first,
    ) {
    }
}
