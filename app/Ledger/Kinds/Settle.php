<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces that were unaccounted for, and where somebody found that they are. */
final class Settle implements Kind
{
    public function parts(): array
    {
        return [Part::Movements];
    }

    public function ways(): array
    {
        return ['unaccounted > kit, transferred', 'unaccounted > store, returned', 'unaccounted > out, lost'];
    }

    public function title(): string
    {
        return 'Pieces settled';
    }
}
