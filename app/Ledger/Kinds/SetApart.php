<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** Pieces of a store that nothing is restocked from until somebody has looked into it. */
final class SetApart implements Kind
{
    public function parts(): array
    {
        return [Part::Movements];
    }

    public function ways(): array
    {
        return ['store > store, quarantined'];
    }

    public function title(): string
    {
        return 'Set apart';
    }
}
