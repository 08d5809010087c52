<?php

declare(strict_types=1);

namespace App\Judging;

/** The edition of a list that a design keeps. */
final readonly class KeptList
{
    public function __construct(
        public string $id,
        public string $code,
        public string $title,
        public ?string $size,
        public string $edition,
        public string $basis,
        public string $origin,
        public bool $confirmed,
    ) {
    }
}
