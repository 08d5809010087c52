<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** The two schools on the wrappers of what must be fast: off, staged for use; or on, against dirt and light. */
enum Wrappers: string
{
    case Off = 'off';
    case On = 'on';
}
