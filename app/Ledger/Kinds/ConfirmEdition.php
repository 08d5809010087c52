<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** An edition of a list is confirmed against one's own copy and never changes. */
final class ConfirmEdition implements Kind
{
    public function parts(): array
    {
        return [Part::Attestations];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Edition confirmed';
    }
}
