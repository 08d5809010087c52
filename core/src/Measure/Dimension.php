<?php

declare(strict_types=1);

namespace Sarcina\Core\Measure;

enum Dimension: string
{
    case Length = 'length';
    case Volume = 'volume';
    case Mass = 'mass';
}
