<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Support\Refused;

final class BaseIsAhead extends Refused
{
    public function __construct(Base $base, Head $head)
    {
        parent::__construct(
            "This claims to rest on operation {$base->number} of epoch {$base->epoch}, but the record ends with ".
                "operation {$head->number} of epoch {$head->epoch}. Open the page again.",
            'base',
        );
    }
}
