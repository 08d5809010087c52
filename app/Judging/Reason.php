<?php

declare(strict_types=1);

namespace App\Judging;

/** One reason of a verdict in words, what to do about it, and where it is. */
final readonly class Reason
{
    /** @param  string  $job  restock, check, build, report or none: what mends it */
    public function __construct(
        public string $kind,
        public string $severity,
        public string $text,
        public string $todo,
        public string $job,
        public ?string $line,
        public ?string $item,
        public ?int $row,
        public ?string $pocketId,
    ) {
    }

    public function order(): int
    {
        return match ($this->severity) {
            'stop' => 0,
            'fix' => 1,
            default => 2,
        };
    }
}
