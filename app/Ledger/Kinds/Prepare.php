<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What is done to items before they are packed, done afterwards. */
final class Prepare implements Kind
{
    public function parts(): array
    {
        return [Part::Preparations];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Staged';
    }
}
