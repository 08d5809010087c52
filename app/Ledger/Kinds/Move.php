<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A kit goes to another place. */
final class Move implements Kind
{
    public function parts(): array
    {
        return [Part::Changes];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Moved';
    }
}
