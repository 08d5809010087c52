<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Part of a pack in another container: it keeps its lot number and date. */
final class Repack implements Kind
{
    public function parts(): array
    {
        return [Part::Movements];
    }

    public function ways(): array
    {
        return ['store > out, repacked', 'out > store, repacked'];
    }

    public function title(): string
    {
        return 'Repacked';
    }
}
