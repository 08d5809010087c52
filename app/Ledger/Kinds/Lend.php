<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces that another team or organisation has until a day, and those that came back. */
final class Lend implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::LoanTerms];
    }

    public function ways(): array
    {
        return ['store > out, lent', 'out > store, lent'];
    }

    public function title(): string
    {
        return 'Lent';
    }
}
