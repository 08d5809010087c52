<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

/** What decides how many pieces are carried. */
enum Source: string
{
    case Uses = 'uses';
    case List = 'list';
    case Floor = 'floor';
}
