<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A module leaves a kit, with what is in it. */
final class ModuleOut implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Changes, Part::Seals];
    }

    public function ways(): array
    {
        return ['kit > kit, transferred', 'kit > store, returned', 'kit > out, discarded'];
    }

    public function title(): string
    {
        return 'Module removed';
    }
}
