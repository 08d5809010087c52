<?php

declare(strict_types=1);

namespace App\Builds\Http;

use App\Stock\Http\RestockResource;
use OpenApi\Attributes as OA;

/** How a kit is repacked: what comes out of it, what goes back where, and what goes in from the store, in packing order. */
#[OA\Schema]
final readonly class BuildPlan
{
    /**
     * @param  list<string>  $order
     * @param  list<BuildPiece>  $pieces
     * @param  list<BuildItem>  $items
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'pockets: what is reached last is packed first')]
        public array $order,
        #[OA\Property(items: new OA\Items(ref: BuildPiece::class))]
        public array $pieces,
        #[OA\Property(description: 'what goes in besides; it names the store, and how far the record goes')]
        public RestockResource $restock,
        #[OA\Property(items: new OA\Items(ref: BuildItem::class))]
        public array $items,
        #[OA\Property(description: 'grams: the bag and the modules in it')]
        public int $empty_mass_g,
        #[OA\Property(nullable: true)]
        public ?int $max_mass_g,
        #[OA\Property(nullable: true, description: 'per cent by which the weight on the scales may differ before a reason is asked for; null: it is '.
            'not compared, because nobody weighed the empty bag')]
        public ?int $ask_over,
    ) {
    }
}
