<?php

declare(strict_types=1);

namespace App\Ledger;

/** So many pieces of a lot, from one place to another, to be recorded. No place means outside. */
final readonly class LotMovement
{
    /** Reasons for which somebody reached into a kit in earnest: it is checked after that. */
    public const USES = ['used', 'training', 'given', 'lost'];

    public string $lotId;

    public function __construct(
        string $lotId,
        public int $quantity,
        public ?Location $from,
        public ?Location $to,
        public string $reason,
    ) {
        // Ids are kept in small letters; whoever sends capitals means the same lot.
        $this->lotId = strtolower($lotId);
    }

    /** Returns the same movement of another number of pieces. */
    public function of(int $quantity): self
    {
        return new self($this->lotId, $quantity, $this->from, $this->to, $this->reason);
    }

    public function isUse(): bool
    {
        return in_array($this->reason, self::USES, true);
    }
}
