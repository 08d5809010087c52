<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

/** The record was restored from a backup, and goes on in a new epoch. */
final class Restore implements Kind
{
    public function parts(): array
    {
        return [];
    }

    public function ways(): array
    {
        return [];
    }

    public function title(): string
    {
        return 'Restored from a backup';
    }
}
