<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

/** Critical: the kit must not go out as ready without it. */
enum Rank: string
{
    case Critical = 'critical';
    case Required = 'required';
    case Optional = 'optional';
}
