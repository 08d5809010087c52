<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

enum TaskKind: string
{
    case Make = 'make';
    case Move = 'move';
    case Upgrade = 'upgrade';
    case Retire = 'retire';
}
