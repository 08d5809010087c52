<?php

declare(strict_types=1);

namespace App\Carry;

/** Where kits are used: rates of use differ far more between settings than between kits. */
enum Setting: string
{
    case Workplace = 'workplace';
    case School = 'school';
    case Sport = 'sport';
    case Trip = 'trip';
    case Event = 'event';
}
