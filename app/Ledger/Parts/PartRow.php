<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** One row that belongs to an operation. */
interface PartRow
{
    public function part(): Part;

    /** @return array<string, bool|int|string|null> by column, without the operation's number and the position */
    public function columns(): array;
}
