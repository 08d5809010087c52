<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Lists\Http\KitEffect;
use OpenApi\Attributes as OA;

/** What publishing a design and adopting it would change in its kits. */
#[OA\Schema]
final readonly class DraftEffects
{
    /** @param  list<KitEffect>  $kits */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: KitEffect::class))]
        public array $kits,
        #[OA\Property(description: 'kits of it in all; the first of them are given')]
        public int $in_all,
        #[OA\Property]
        public string $currency,
    ) {
    }
}
