<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces go from one store or kit to another. */
final class Transfer implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals];
    }

    public function ways(): array
    {
        return ['store > store, transferred', 'store > kit, transferred', 'kit > store, transferred', 'kit > kit, transferred'];
    }

    public function title(): string
    {
        return 'Transferred';
    }
}
