<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Support\Refused;

final class OperationIdIsTaken extends Refused
{
    public function __construct()
    {
        parent::__construct('This was recorded before, for another kit or store, or by somebody else. Open the page again and enter it anew.', 'id');
    }
}
