<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces that were set apart or used for training, after somebody has looked them over. */
final class Release implements Kind
{
    public function parts(): array
    {
        return [Part::Movements];
    }

    public function ways(): array
    {
        return ['store > store, released'];
    }

    public function title(): string
    {
        return 'Put back into stock';
    }
}
