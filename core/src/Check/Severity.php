<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

enum Severity: string
{
    case Stop = 'stop';
    case Fix = 'fix';
    case Note = 'note';
}
