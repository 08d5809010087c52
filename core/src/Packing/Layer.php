<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** What a part of a dressing does: it touches the wound, it soaks, or it holds the others in place. */
enum Layer: string
{
    case Contact = 'contact';
    case Absorb = 'absorb';
    case Hold = 'hold';
}
