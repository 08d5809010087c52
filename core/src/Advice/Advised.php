<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\Finding;

/** A finding and what mends it. */
final readonly class Advised
{
    public function __construct(
        public Finding $finding,
        public Action $action,
    ) {
    }
}
