<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** A new kit: what it is, where it is, and what was packed into it. */
final class Equip implements Kind
{
    public function parts(): array
    {
        return [Part::Movements, Part::Changes];
    }

    public function ways(): array
    {
        return ['out > kit, received', 'store > kit, restocked'];
    }

    public function title(): string
    {
        return 'Equipped';
    }
}
