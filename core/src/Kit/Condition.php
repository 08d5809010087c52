<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

enum Condition: string
{
    case Good = 'good';
    case Opened = 'opened';
    case Damaged = 'damaged';
    case Soiled = 'soiled';
    case Failed = 'failed';
    /** Its lot is under recall, whatever else is true of the piece. */
    case Recalled = 'recalled';
}
