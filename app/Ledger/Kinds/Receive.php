<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Goods come into a store. */
final class Receive implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Receipts];
    }

    public function ways(): array
    {
        return ['out > store, received'];
    }

    public function title(): string
    {
        return 'Received';
    }
}
