<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What a kit is called, is made as, is held to, or who may use it. */
final class Change implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Changes];
    }

    public function ways(): array
    {
        return ['kit > kit, transferred'];
    }

    public function title(): string
    {
        return 'Changed';
    }
}
