<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A number read on a seal that is not the one on record. */
final class SealRead implements Kind
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
        return 'Seal number not as on record';
    }
}
