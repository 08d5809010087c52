<?php

declare(strict_types=1);

namespace App\Checks;

/** Something that arrived late and could not be recorded as it was sent. */
final readonly class UnsettledRow
{
    /** @param  string  $because  kit_retired, not_there, moved_while_counting, checks_disagree or no_such_pocket */
    public function __construct(
        public string $because,
        public ?string $subject = null,
        public ?string $lot = null,
        public ?string $pocket = null,
        public ?int $sent = null,
        public ?int $recorded = null,
    ) {
    }
}
