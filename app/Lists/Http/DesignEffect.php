<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** A design whose latest edition keeps the older edition of the list, and the new lines that have no pocket in it yet. */
#[OA\Schema]
final readonly class DesignEffect
{
    /**
     * @param  list<KitEffect>  $kits
     * @param  list<HomelessLine>  $homeless
     * @param  list<PocketName>  $pockets
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'the number of its latest edition')]
        public int $edition,
        #[OA\Property(items: new OA\Items(ref: KitEffect::class))]
        public array $kits,
        #[OA\Property(items: new OA\Items(ref: HomelessLine::class))]
        public array $homeless,
        #[OA\Property(items: new OA\Items(ref: PocketName::class))]
        public array $pockets,
    ) {
    }
}
