<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What went out of a kit and what was put in. */
final class Restock implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals];
    }

    public function ways(): array
    {
        return ['store > kit, restocked', 'kit > store, returned', 'kit > out, discarded'];
    }

    public function title(): string
    {
        return 'Restocked';
    }
}
