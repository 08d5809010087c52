<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Kits\Http\PlaceRef;
use App\Kits\Http\ShiftVerdictResource;
use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** One thing to do, with its reason in words. */
#[OA\Schema]
final readonly class WorkResource
{
    /**
     * @param  list<string>  $reasons
     * @param  list<ShiftVerdictResource>  $shifts
     */
    public function __construct(
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property]
        public PlaceRef $place,
        #[OA\Property(enum: ['stop', 'now', 'soon', 'later'])]
        public string $band,
        #[OA\Property(
            enum: Verdict::class,
            nullable: true,
            description: 'null while it is being judged again',
        )]
        public ?string $verdict,
        #[OA\Property(enum: ['check', 'restock', 'build', 'report', 'people'])]
        public string $job,
        #[OA\Property(enum: ['full', 'quick'])]
        public ?string $check_kind,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
        #[OA\Property]
        public int $more_reasons,
        #[OA\Property]
        public ?string $due_on,
        #[OA\Property]
        public int $overdue_days,
        #[OA\Property(items: new OA\Items(ref: ShiftVerdictResource::class), description: 'where shifts fare differently; the verdict is the worst')]
        public array $shifts,
        #[OA\Property(nullable: true, description: 'the last day through which this holds by the calendar alone; null: no day changes it')]
        public ?string $holds_through,
    ) {
    }
}
