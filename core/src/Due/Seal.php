<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

enum Seal: string
{
    case Intact = 'intact';
    case Broken = 'broken';
    case None = 'none';
}
