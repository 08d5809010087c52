<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** The history of a kit, newest first. */
#[OA\Schema]
final readonly class HistoryResource
{
    /**
     * @param  list<HistoryEntry>  $entries
     */
    public function __construct(
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property(items: new OA\Items(ref: HistoryEntry::class))]
        public array $entries,
        #[OA\Property]
        public ?int $before,
    ) {
    }
}
