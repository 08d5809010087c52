<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Refuses contents whose id is already recorded with other contents. */
final class OtherContents extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('Something else was recorded under the same number before. What you sent now is not recorded. '.
            'Look at the record, then enter the rest again.');
    }
}
