<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A look at an intact seal and the outside. */
final class QuickCheck implements Kind
{
    public function parts(): array
    {
        return [Part::Check, Part::Lines, Part::Findings, Part::Seals];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Quick check';
    }
}
