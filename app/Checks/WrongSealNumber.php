<?php

declare(strict_types=1);

namespace App\Checks;

use RuntimeException;

/** The number that was read on a seal is not the one on record. */
final class WrongSealNumber extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('This is not the number on record. The kit is not ready until that is answered. Read the number once more. '.
            'If the kit has another seal, somebody opened it. Then do a full check and say why.');
    }
}
