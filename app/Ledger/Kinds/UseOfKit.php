<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What was used from a kit. */
final class UseOfKit implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals];
    }

    public function ways(): array
    {
        return ['kit > out, used'];
    }

    public function title(): string
    {
        return 'Used';
    }
}
