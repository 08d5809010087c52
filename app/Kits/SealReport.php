<?php

declare(strict_types=1);

namespace App\Kits;

use App\Ledger\Base;
use App\Ledger\WhenDone;

/** That a kit was closed with a seal, or that its seal was broken. */
final readonly class SealReport
{
    /** @param  string  $text  the number of the seal that was set, or the reason for which it was broken */
    public function __construct(
        public string $id,
        public string $kitId,
        public WhenDone $when,
        public Base $base,
        public bool $isSet,
        public string $text,
    ) {
    }
}
