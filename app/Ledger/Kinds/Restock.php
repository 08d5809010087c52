<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What went out of a kit, what was put in, and what was not in the store though the record had it there. */
final class Restock implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals, Part::Preparations];
    }

    public function ways(): array
    {
        return [
            'store > kit, restocked', 'kit > store, returned', 'kit > out, discarded', 'store > out, counted',
            ...Late::ways('restocked', 'returned', 'discarded'),
        ];
    }

    public function title(): string
    {
        return 'Restocked';
    }
}
