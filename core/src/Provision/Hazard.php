<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

enum Hazard: string
{
    case Low = 'low';
    case High = 'high';
}
