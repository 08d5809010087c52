<?php

declare(strict_types=1);

namespace App\Checks;

use App\Ledger\Base;
use App\Ledger\WhenDone;

/** A finished check as it is sent in. */
final readonly class CheckReport
{
    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  Base  $base  how far the record went that the checker had seen
     * @param  list<CountedRow>  $rows  empty for a quick check
     * @param  list<ModuleAtCheck>  $modules  those that are not named were opened and left open
     * @param  list<string>|null  $answered  codes of the lines that were looked at; null: it was not asked which
     * @param  string|null  $signedBecause  why it is signed by another name than the account's
     * @param  string|null  $body  as it was sent, to keep where nothing of it can be recorded
     */
    public function __construct(
        public string $id,
        public string $kitId,
        public string $kind,
        public WhenDone $when,
        public Base $base,
        public array $rows,
        public string $signed,
        public ?string $sealFound = null,
        public ?string $sealSet = null,
        public ?string $sealReason = null,
        public ?string $note = null,
        public ?string $body = null,
        public array $modules = [],
        public ?array $answered = null,
        public ?string $signedBecause = null,
    ) {
    }

    public function at(WhenDone $when): self
    {
        return new self(
            $this->id,
            $this->kitId,
            $this->kind,
            $when,
            $this->base,
            $this->rows,
            $this->signed,
            $this->sealFound,
            $this->sealSet,
            $this->sealReason,
            $this->note,
            $this->body,
            $this->modules,
            $this->answered,
            $this->signedBecause,
        );
    }

    public function isFull(): bool
    {
        return $this->kind === 'full';
    }
}
