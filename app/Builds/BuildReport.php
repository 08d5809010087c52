<?php

declare(strict_types=1);

namespace App\Builds;

use App\Ledger\Base;
use App\Ledger\WhenDone;
use App\Stock\PutIn;

/** A kit as it was repacked: what came out of it, what went back and in, what was prepared and weighed, and how it was closed. */
final readonly class BuildReport
{
    /**
     * @param  string  $id  a ULID made by the page when it was begun: recorded once, whoever ends it
     * @param  Base  $base  how far the record went that its doer had seen
     * @param  list<BuiltPiece>  $pieces
     * @param  list<PutIn>  $in  from the store
     * @param  list<array{string, string, bool}>  $prepared  pocket, item code, and whether what it asks for was done
     * @param  int|null  $weighed  grams; null: it was not weighed
     * @param  string|null  $body  as it was sent, to keep where nothing of it can be recorded
     */
    public function __construct(
        public string $id,
        public string $kitId,
        public string $storeId,
        public WhenDone $when,
        public Base $base,
        public array $pieces,
        public array $in,
        public array $prepared,
        public ?int $weighed,
        public ?string $weighedBecause,
        public ?string $sealReason,
        public ?string $sealSet,
        public ?string $body,
    ) {
    }

    public function at(WhenDone $when): self
    {
        return new self(
            $this->id, $this->kitId, $this->storeId, $when, $this->base, $this->pieces, $this->in, $this->prepared, $this->weighed,
            $this->weighedBecause, $this->sealReason, $this->sealSet, $this->body,
        );
    }
}
