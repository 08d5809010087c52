<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;

/** What to do today, most pressing first, and what comes over thirteen months. */
#[OA\Schema]
final readonly class TodayResource
{
    /**
     * @param  list<VerdictCount>  $counts
     * @param  list<WorkResource>  $work
     * @param  list<HorizonResource>  $horizon
     */
    public function __construct(
        #[OA\Property]
        public string $as_of,
        #[OA\Property]
        public int $kits,
        #[OA\Property(items: new OA\Items(ref: VerdictCount::class))]
        public array $counts,
        #[OA\Property]
        public int $overdue,
        #[OA\Property(items: new OA\Items(ref: WorkResource::class))]
        public array $work,
        #[OA\Property]
        public int $work_in_all,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $until,
        #[OA\Property(items: new OA\Items(ref: HorizonResource::class))]
        public array $horizon,
    ) {
    }
}
