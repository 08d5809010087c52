<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** One edition beside another, line by line, and what each kit would lack under it. */
#[OA\Schema]
final readonly class EditionChangeResource
{
    /**
     * @param  list<LineChange>  $lines
     * @param  list<string>  $excludes
     * @param  list<DesignEffect>  $designs
     * @param  list<KitToFollow>  $to_follow  kits that keep the older edition, though the latest of their design does not
     */
    public function __construct(
        #[OA\Property]
        public EditionRef $from,
        #[OA\Property]
        public EditionRef $to,
        #[OA\Property]
        public string $title,
        #[OA\Property(items: new OA\Items(ref: LineChange::class))]
        public array $lines,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $excludes,
        #[OA\Property(items: new OA\Items(ref: DesignEffect::class))]
        public array $designs,
        #[OA\Property(description: 'kits of these designs')]
        public int $concerned,
        #[OA\Property(description: 'whether the kits are judged here; else ask for a preview (previewEdition)')]
        public bool $is_judged,
        #[OA\Property]
        public int $to_follow_count,
        #[OA\Property(items: new OA\Items(ref: KitToFollow::class))]
        public array $to_follow,
    ) {
    }
}
