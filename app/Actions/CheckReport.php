<?php

declare(strict_types=1);

namespace App\Actions;

use Carbon\CarbonInterface;

/** A finished check as it is sent in. */
final readonly class CheckReport
{
    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  int  $base  the kit's last movement when the check was begun
     * @param  list<CountedRow>  $rows  empty for a quick check
     */
    public function __construct(
        public string $id,
        public string $kitId,
        public string $kind,
        public CarbonInterface $startedAt,
        public int $base,
        public array $rows,
        public string $signed,
        public ?string $sealFound = null,
        public ?string $sealSet = null,
        public ?string $sealReason = null,
        public ?string $note = null,
    ) {
    }
}
