<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A check as it was signed. */
#[OA\Schema]
final readonly class CheckResource
{
    /**
     * @param  list<CheckRowResource>  $rows
     * @param  list<CheckLineResource>  $lines
     * @param  list<CheckFindingResource>  $findings
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property(enum: ['full', 'quick'])]
        public string $kind,
        #[OA\Property]
        public string $started_at,
        #[OA\Property]
        public string $finished_at,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $signed,
        #[OA\Property]
        public string $by,
        #[OA\Property(enum: ['ready', 'ready_with_actions', 'limited', 'not_ready'])]
        public string $verdict,
        #[OA\Property]
        public string $next_check,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public ?string $seal_found,
        #[OA\Property]
        public ?string $seal_set,
        #[OA\Property]
        public ?string $seal_reason,
        #[OA\Property]
        public ?string $note,
        #[OA\Property]
        public string $hash,
        #[OA\Property(items: new OA\Items(ref: CheckRowResource::class))]
        public array $rows,
        #[OA\Property(items: new OA\Items(ref: CheckLineResource::class))]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: CheckFindingResource::class))]
        public array $findings,
    ) {
    }
}
