<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

enum CompanionsPer: string
{
    case Kit = 'kit';
    case Each = 'each';
}
