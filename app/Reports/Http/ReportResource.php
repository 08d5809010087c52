<?php

declare(strict_types=1);

namespace App\Reports\Http;

use OpenApi\Attributes as OA;

/** What was reported used of a kit, and what became of the report. */
#[OA\Schema]
final readonly class ReportResource
{
    /** @param  list<ReportedItem>  $items */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(format: 'date-time')]
        public string $reported_at,
        #[OA\Property(description: 'null: without an account, by the code on the label', nullable: true)]
        public ?string $by,
        #[OA\Property(items: new OA\Items(ref: ReportedItem::class))]
        public array $items,
        #[OA\Property(description: 'a full check has counted the kit since')]
        public bool $counted_since,
        #[OA\Property(enum: ['confirmed', 'rejected'], nullable: true, description: 'null while it waits')]
        public ?string $outcome,
        #[OA\Property(nullable: true)]
        public ?string $decided_by,
        #[OA\Property(format: 'date-time', nullable: true)]
        public ?string $decided_at,
        #[OA\Property(nullable: true)]
        public ?string $reason,
    ) {
    }
}
