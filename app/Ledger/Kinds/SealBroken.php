<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A seal was found broken, or was broken, for a reason. */
final class SealBroken implements Kind
{
    public function parts(): array
    {
        return [Part::Seals];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Seal broken';
    }
}
