<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A kit is closed with a numbered seal. */
final class SealSet implements Kind
{
    public function parts(): array
    {
        return [Part::Seals];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Sealed';
    }
}
