<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** Something about a kit that became something else: ids or words, and how they read on that day. */
final readonly class KitChanged implements PartRow
{
    /** A repack asked number, date and condition of every piece: it counts as a full check. */
    public const COUNTED = 'counted';

    public function __construct(
        public string $kitId,
        public string $field,
        public ?string $was,
        public ?string $becomes,
        public ?string $wasName = null,
        public ?string $becomesName = null,
    ) {
    }

    public function part(): Part
    {
        return Part::Changes;
    }

    public function columns(): array
    {
        return [
            'kit_id' => $this->kitId,
            'field' => $this->field,
            'was' => $this->was,
            'becomes' => $this->becomes,
            'was_name' => $this->wasName,
            'becomes_name' => $this->becomesName,
        ];
    }
}
