<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Something else was recorded under the id that was sent. */
final class OtherContents extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('Something else was recorded under the same number before. What you sent now is not recorded. '.
            'Look at what is on record, then enter the rest anew.');
    }
}
