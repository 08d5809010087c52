<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** An assessment is signed and stays as it is. */
final class SignAssessment implements Kind
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
        return 'Assessment signed';
    }
}
