<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

use App\Ledger\Part;

/** What belongs to an operation of one kind; anything else is refused when it is written, and named when the record is verified. */
interface Kind
{
    /** @return list<Part> beside the kits and stores that it concerns */
    public function parts(): array;

    /** @return list<string> the ways that pieces may go, such as "store > kit, restocked" */
    public function ways(): array;

    /** What it is called in a history: "Full check". */
    public function title(): string;
}
