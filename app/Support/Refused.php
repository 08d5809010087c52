<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Something cannot be done as it was asked for: each subclass names one way, and says at which field, and what to do. */
abstract class Refused extends RuntimeException
{
    public function __construct(
        string $message,
        public readonly string $field,
    ) {
        parent::__construct($message);
    }
}
