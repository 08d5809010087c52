<?php

declare(strict_types=1);

namespace App\Stock;

use App\Ledger\Base;
use App\Ledger\WhenDone;

/** A restock as it was done: lot by lot what went out and in. */
final readonly class RestockReport
{
    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  Base  $base  how far the record went that its doer had seen
     * @param  list<TakenOut>  $out
     * @param  list<PutIn>  $in
     * @param  list<string>  $notFound  lots that the record has in the store, and of which nothing was found there
     * @param  string|null  $roundId  the round on which it was done
     * @param  string|null  $body  as it was sent, to keep where nothing of it can be recorded
     */
    public function __construct(
        public string $id,
        public string $kitId,
        public string $storeId,
        public WhenDone $when,
        public Base $base,
        public array $out,
        public array $in,
        public ?string $sealReason = null,
        public ?string $sealSet = null,
        public ?string $body = null,
        public array $notFound = [],
        public ?string $roundId = null,
    ) {
    }

    public function at(WhenDone $when): self
    {
        return new self(
            $this->id,
            $this->kitId,
            $this->storeId,
            $when,
            $this->base,
            $this->out,
            $this->in,
            $this->sealReason,
            $this->sealSet,
            $this->body,
            $this->notFound,
            $this->roundId,
        );
    }

    /** @return list<string> that something was put into, or taken out of */
    public function pockets(): array
    {
        return [
            ...array_map(static fn (TakenOut $row): string => $row->pocketId, $this->out),
            ...array_map(static fn (PutIn $row): string => $row->pocketId, $this->in),
        ];
    }

    /** Whether the kit itself was opened for it. */
    public function touchesKit(): bool
    {
        return $this->out !== [] || $this->in !== [];
    }
}
