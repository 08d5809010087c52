<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces of another team or organisation, and those that were given back. */
final class Borrow implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::LoanTerms];
    }

    public function ways(): array
    {
        return ['out > store, borrowed', 'store > out, borrowed'];
    }

    public function title(): string
    {
        return 'Borrowed';
    }
}
