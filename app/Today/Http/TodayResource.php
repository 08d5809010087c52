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
        #[OA\Property(items: new OA\Items(ref: VerdictCount::class), description: 'of the kits whose verdict is of now')]
        public array $counts,
        #[OA\Property(description: 'kits that are being judged again: what is known of them is not of now')]
        public int $being_judged,
        #[OA\Property(description: 'since when background work has not run, where that is longer than a minute', nullable: true)]
        public ?string $worker_silent_since,
        #[OA\Property(description: 'for a lead: what is wrong with the backups', enum: ['none', 'late', 'drill_failed'], nullable: true)]
        public ?string $backup_trouble,
        #[OA\Property(description: 'of when the newest backup is, or the drill that failed', nullable: true)]
        public ?string $backup_at,
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
        #[OA\Property(description: 'how many more places have kits')]
        public int $horizon_more,
    ) {
    }
}
