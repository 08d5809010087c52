<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A look at everything in a kit: what was counted, and what followed from it. */
final class FullCheck implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Check, Part::Rows, Part::Lines, Part::Findings, Part::Seals];
    }

    public function ways(): array
    {
        return ['out > kit, counted', 'kit > out, counted', 'kit > kit, counted'];
    }

    public function title(): string
    {
        return 'Full check';
    }
}
