<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What was used is said, tools that must come back are asked for, and what is not back is lost. Nothing is an answer too. */
final class HandBack implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Seals];
    }

    public function ways(): array
    {
        return (new UseOfKit)->ways();
    }

    public function title(): string
    {
        return 'Handed back at the end of a shift';
    }
}
