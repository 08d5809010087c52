<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Models\Kit;
use App\Support\Refused;

final class KitIsRetired extends Refused
{
    public function __construct(Kit $kit)
    {
        parent::__construct("{$kit->code} was taken out of service on {$kit->retired_on}: nothing more is recorded for it.", 'kit');
    }
}
