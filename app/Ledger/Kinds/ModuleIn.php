<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A module is added to a kit, with what is in it. */
final class ModuleIn implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Changes, Part::Seals];
    }

    public function ways(): array
    {
        return ['kit > kit, transferred', 'store > kit, restocked'];
    }

    public function title(): string
    {
        return 'Module added';
    }
}
