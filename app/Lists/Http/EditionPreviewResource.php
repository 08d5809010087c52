<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** What many kits would have added, moved and removed, as far as it is worked out, and of which moment it is. */
#[OA\Schema]
final readonly class EditionPreviewResource
{
    /**
     * @param  list<VerdictChange>  $counts
     * @param  list<KitEffect>  $effects  a page of them
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['waiting', 'running', 'done', 'failed'])]
        public string $state,
        #[OA\Property]
        public int $kits,
        #[OA\Property]
        public int $done,
        #[OA\Property(format: 'date-time')]
        public string $made_at,
        #[OA\Property]
        public string $day,
        #[OA\Property(description: 'something was recorded or changed since: it may be otherwise now')]
        public bool $is_behind,
        #[OA\Property(items: new OA\Items(ref: VerdictChange::class))]
        public array $counts,
        #[OA\Property(items: new OA\Items(ref: KitEffect::class))]
        public array $effects,
        #[OA\Property(nullable: true, description: 'ask again with this to read on')]
        public ?int $next,
    ) {
    }
}
