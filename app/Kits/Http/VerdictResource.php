<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** What the core says of a kit. */
#[OA\Schema]
final readonly class VerdictResource
{
    /**
     * @param  list<ReasonResource>  $reasons
     * @param  list<LineResource>  $lines
     * @param  list<ShiftVerdictResource>  $shifts
     */
    public function __construct(
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $as_of,
        #[OA\Property]
        public string $next_check,
        #[OA\Property]
        public int $margin_days,
        #[OA\Property(enum: ['strict', 'reserve'])]
        public string $expiry,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public ?int $max_mass_g,
        #[OA\Property(description: 'false: the weight of the empty bag is not in it, because nobody weighed it')]
        public bool $is_empty_mass_known,
        #[OA\Property(items: new OA\Items(ref: ReasonResource::class))]
        public array $reasons,
        #[OA\Property(items: new OA\Items(ref: LineResource::class))]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: ShiftVerdictResource::class), description: 'none where no shifts are kept; the verdict is the worst')]
        public array $shifts,
        #[OA\Property(nullable: true, description: 'the last day through which this holds by the calendar alone; null: no day changes it')]
        public ?string $holds_through,
    ) {
    }
}
