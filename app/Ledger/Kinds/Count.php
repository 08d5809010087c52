<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A shelf was counted. */
final class Count implements Kind
{
    public function parts(): array
    {
        return [Part::Movements];
    }

    public function ways(): array
    {
        return ['out > store, counted', 'store > out, counted', 'store > store, counted'];
    }

    public function title(): string
    {
        return 'Counted';
    }
}
