<?php

declare(strict_types=1);

namespace App\Ledger;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;

/** When something was begun and done by its doer's clock, corrected, and how sure that clock is. */
final readonly class WhenDone
{
    /** A clock that was not compared for so long may be wrong by more than matters. */
    private const SURE_HOURS = 12;

    /** The same of an operation on record, for a query. */
    public const IS_SURE = 'ABS(TIMESTAMPDIFF(SECOND, operations.clock_checked_at, operations.done_at)) <= 3600 * '.self::SURE_HOURS;

    public function __construct(
        public CarbonImmutable $begunAt,
        public CarbonImmutable $doneAt,
        public CarbonImmutable $receivedAt,
        public ?CarbonImmutable $clockCheckedAt,
    ) {
    }

    /** Done and received at one time, by the server's clock. */
    public static function now(CarbonInterface $at): self
    {
        $at = CarbonImmutable::instance($at);

        return new self($at, $at, $at, $at);
    }

    /** No earlier than what its doer had seen: a clock that says otherwise is wrong. */
    public function notBefore(?string $seen): self
    {
        $seen = $seen === null ? null : CarbonImmutable::parse($seen, 'UTC');

        return $seen === null || $this->doneAt->greaterThanOrEqualTo($seen)
            ? $this
            : new self($this->begunAt->min($seen), $seen, $this->receivedAt, $this->clockCheckedAt);
    }

    public function isSure(): bool
    {
        return $this->clockCheckedAt !== null && abs($this->clockCheckedAt->diffInHours($this->doneAt)) <= self::SURE_HOURS;
    }

    /** Whether it began when the other was done, beyond doubt. */
    public function isClearlyAfter(self $other): bool
    {
        return $this->isSure() && $other->isSure() && $this->begunAt->greaterThanOrEqualTo($other->doneAt);
    }
}
