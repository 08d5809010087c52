<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

/** How pressing a kit is, most pressing first. */
enum Band: int
{
    case Stop = 0;
    case Now = 1;
    case Soon = 2;
    case Later = 3;
    case Nothing = 4;

    public function word(): string
    {
        return strtolower($this->name);
    }
}
