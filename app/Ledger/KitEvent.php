<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Ledger\Parts\KitChanged;
use App\Ledger\Parts\SealEvent;

/** What an operation means for the facts of one kit. */
final readonly class KitEvent
{
    /** The number of what is not recorded yet. */
    public const FORESEEN = 0;

    /**
     * @param  string  $doneAt  Y-m-d H:i:s, UTC
     * @param  string|null  $standing  of a check; null where it is none
     * @param  bool  $leavesDoubt  a check of which some rows could not be decided
     * @param  list<SealEvent>  $seals
     * @param  list<KitChanged>  $changes
     * @param  bool  $asksCheck  whether pieces came in that no check has counted, or everything was put back after a repack
     * @param  bool  $restsOnLostTail  whether its doer had seen entries that a restore lost: a check of it is due again
     */
    public function __construct(
        public int $number,
        public string $doneAt,
        public string $day,
        public OperationKind $kind,
        public ?string $standing,
        public bool $leavesDoubt,
        public bool $isUse,
        public array $seals,
        public array $changes,
        public bool $asksCheck = false,
        public bool $restsOnLostTail = false,
    ) {
    }
}
