<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Kits\Http\PlaceRef;
use App\People\Http\ShiftCover;
use OpenApi\Attributes as OA;

/** An area as it was answered, what follows from it, and what changed since the last assessment. */
#[OA\Schema]
final readonly class AreaResource
{
    /**
     * @param  list<PlaceRef>  $places
     * @param  list<string>  $risks
     * @param  list<string>  $follows_risks
     * @param  list<string>  $changes
     * @param  list<SeenChange>  $seen
     * @param  list<ShiftCover>  $cover
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(ref: PlaceRef::class))]
        public array $places,
        #[OA\Property]
        public ?string $hangs_at,
        #[OA\Property]
        public int $people,
        #[OA\Property(enum: ['low', 'high'])]
        public string $hazard,
        #[OA\Property]
        public int $points,
        #[OA\Property]
        public int $lone_workers,
        #[OA\Property]
        public int $vehicles,
        #[OA\Property]
        public bool $running_water,
        #[OA\Property(nullable: true, description: 'null: not answered')]
        public ?bool $has_freezer,
        #[OA\Property(nullable: true, description: 'what the answer about the freezer means; null: no module of the area has cold packs')]
        public ?string $cold_packs,
        #[OA\Property]
        public int $children,
        #[OA\Property]
        public int $minutes_to_help,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $risks,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $follows_risks,
        #[OA\Property]
        public ?string $note,
        #[OA\Property]
        public int $revision,
        #[OA\Property]
        public PlanResource $least,
        #[OA\Property]
        public PlanResource $full,
        #[OA\Property]
        public bool $is_new,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $changes,
        #[OA\Property(items: new OA\Items(ref: SeenChange::class))]
        public array $seen,
        #[OA\Property(items: new OA\Items(ref: ShiftCover::class))]
        public array $cover,
    ) {
    }
}
