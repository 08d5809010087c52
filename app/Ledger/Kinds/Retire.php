<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A kit is taken out of service and emptied. */
final class Retire implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Changes];
    }

    public function ways(): array
    {
        return ['kit > store, returned', 'kit > out, discarded', 'kit > out, lost'];
    }

    public function title(): string
    {
        return 'Taken out of service';
    }
}
