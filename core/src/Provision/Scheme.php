<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** How the number and size of kits is calculated (rules.md, provision). */
enum Scheme: string
{
    case Headcount = 'headcount';
    case KitClass = 'class';
}
