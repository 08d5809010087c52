<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use App\Lists\EntryContent;
use App\Lists\LineContent;
use OpenApi\Attributes as OA;

/** A line that a design adds to its list. */
#[OA\Schema]
final readonly class DraftLine
{
    /** @param  list<DraftEntry>  $accepts */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property(nullable: true)]
        public ?int $quantity,
        #[OA\Property(nullable: true)]
        public ?string $total_measure,
        #[OA\Property(nullable: true)]
        public ?string $total_quantity,
        #[OA\Property(items: new OA\Items(ref: DraftEntry::class))]
        public array $accepts,
        #[OA\Property(nullable: true)]
        public ?string $reason,
        #[OA\Property]
        public bool $anyone_may_use,
    ) {
    }

    public static function of(LineContent $line): self
    {
        return new self(
            $line->code, $line->need, $line->rank, $line->quantity, $line->totalMeasure, $line->totalQuantity,
            array_map(static fn (EntryContent $entry): DraftEntry => DraftEntry::of($entry), $line->accepts), $line->reason, $line->anyoneMayUse,
        );
    }

    public function content(): LineContent
    {
        return new LineContent(
            $this->code, $this->need, $this->rank, $this->quantity, $this->total_measure, $this->total_quantity,
            array_map(static fn (DraftEntry $entry): EntryContent => $entry->content(), $this->accepts), $this->reason, $this->anyone_may_use,
        );
    }
}
