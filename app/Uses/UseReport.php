<?php

declare(strict_types=1);

namespace App\Uses;

use App\Ledger\Base;
use App\Ledger\OperationKind;
use App\Ledger\WhenDone;

/** What was taken out of a kit, as somebody says who was there. */
final readonly class UseReport
{
    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  Base  $base  how far the record went that its doer had seen
     * @param  list<TakenPiece>  $taken
     * @param  string|null  $handedBackBy  the name under which it is signed at the end of a shift: then nothing is an answer too
     * @param  string|null  $reportId  the report without an account that it confirms
     * @param  string|null  $body  as it was sent, to keep where nothing of it can be recorded
     */
    public function __construct(
        public string $id,
        public string $kitId,
        public WhenDone $when,
        public Base $base,
        public array $taken,
        public ?string $note = null,
        public ?string $sealReason = null,
        public ?string $body = null,
        public ?string $reportId = null,
        public ?string $handedBackBy = null,
    ) {
    }

    public function at(WhenDone $when): self
    {
        return new self(
            $this->id, $this->kitId, $when, $this->base, $this->taken, $this->note, $this->sealReason, $this->body, $this->reportId,
            $this->handedBackBy,
        );
    }

    public function kind(): OperationKind
    {
        return $this->handedBackBy === null ? OperationKind::Use : OperationKind::HandBack;
    }

    /** @return list<string> ids of other kits that pieces were moved to */
    public function otherKits(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (TakenPiece $one): ?string => $one->toKitId, $this->taken))));
    }

    /** @return list<string> pockets that something was taken from */
    public function pockets(): array
    {
        return array_map(static fn (TakenPiece $one): string => $one->pocketId, $this->taken);
    }
}
