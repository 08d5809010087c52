<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** What may be left out of a kit that is too heavy or too full, and what it frees. */
#[OA\Schema]
final readonly class MayLeaveOut
{
    /**
     * @param  list<MissedRemark>  $missed
     * @param  list<string>  $hazards
     */
    public function __construct(
        #[OA\Property]
        public string $line,
        #[OA\Property(description: 'the code of the item')]
        public string $item,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property(nullable: true)]
        public ?int $bulk_ml,
        #[OA\Property(description: 'whole minor units')]
        public int $cost,
        #[OA\Property(items: new OA\Items(ref: MissedRemark::class), description: 'what came of leaving it behind before')]
        public array $missed,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'hazards there that the item answers, such as burns in Kitchen')]
        public array $hazards,
    ) {
    }
}
