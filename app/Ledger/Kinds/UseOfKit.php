<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What was taken out of a kit, or opened in it, and why; what was moved to another one. */
final class UseOfKit implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals];
    }

    public function ways(): array
    {
        return [
            'kit > out, used', 'kit > out, training', 'kit > store, training', 'kit > out, given', 'kit > out, lost',
            'kit > kit, used', 'kit > kit, training', 'kit > kit, transferred',
            ...Late::ways('used', 'training', 'given', 'lost', 'transferred'),
        ];
    }

    public function title(): string
    {
        return 'Used';
    }
}
