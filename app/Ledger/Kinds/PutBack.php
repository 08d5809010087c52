<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

/** A repack that ended with everything put back. It is no check, and makes one due. */
final class PutBack implements Kind
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
        return 'Repack ended, everything put back';
    }
}
