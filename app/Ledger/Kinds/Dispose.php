<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces are disposed of. */
final class Dispose implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals];
    }

    public function ways(): array
    {
        return ['store > out, discarded', 'kit > out, discarded'];
    }

    public function title(): string
    {
        return 'Disposed of';
    }
}
