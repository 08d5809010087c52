<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A kit that was repacked: everything out, and back in what its design asks for; what was prepared, and what it weighed. */
final class Build implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals, Part::Preparations, Part::Weighings, Part::Changes];
    }

    public function ways(): array
    {
        return [
            'kit > kit, transferred', 'kit > store, returned', 'kit > out, discarded', 'kit > out, counted', 'out > kit, counted',
            'store > kit, restocked',
            ...Late::ways('restocked', 'returned', 'discarded', 'transferred', 'counted'),
        ];
    }

    public function title(): string
    {
        return 'Built';
    }
}
