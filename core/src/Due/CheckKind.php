<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

/** A full check goes through every pocket; a quick one looks at a whole seal and the outside. */
enum CheckKind: string
{
    case Full = 'full';
    case Quick = 'quick';
}
