<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** A seal that was set, or broken for a reason. */
final readonly class SealEvent implements PartRow
{
    /** A wrong number was read; the reason is the visit. */
    public const MISREAD = 'misread';

    /** The right number was read after a wrong one, in the same visit. */
    public const READ = 'read';

    /** @param  int|null  $setBy  the operation that set the seal which is broken; null where it was set before the record began */
    public function __construct(
        public string $kitId,
        public string $event,
        public ?string $sealNumber,
        public ?string $reason = null,
        public ?int $setBy = null,
    ) {
    }

    public function part(): Part
    {
        return Part::Seals;
    }

    public function columns(): array
    {
        return [
            'kit_id' => $this->kitId,
            'event' => $this->event,
            'seal_number' => $this->sealNumber,
            'reason' => $this->reason,
            'set_by' => $this->setBy,
        ];
    }
}
