<?php

declare(strict_types=1);

namespace App\Checks;

use App\Kits\Models\Kit;
use App\Ledger\Head;
use App\Ledger\OperationSince;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** How something that somebody did with a kit meets what is on record when it arrives. */
final readonly class Arrival
{
    /**
     * @param  list<OperationSince>  $since  what was recorded of the kit that its doer had not seen
     * @param  bool  $isLate  something was, or the kit was taken out of service since
     * @param  bool  $isAfterRetirement  it was done when the kit was out of service: nothing of it can be recorded
     */
    public function __construct(
        public Head $head,
        public array $since,
        public bool $isLate,
        public bool $isAfterRetirement,
    ) {
    }

    /**
     * Whoever reaches into what a seal closes says why. A seal that its doer could not know of asks for no reason of theirs.
     *
     * @param  list<Kit>  $opened
     * @param  string  $doing  what broke it: "Restocking"
     */
    public function refuseUnexplained(array $opened, ?string $reason, string $doing): void
    {
        foreach ($reason === null && ! OperationSince::anySetASeal($this->since) ? $opened : [] as $kit) {
            // A kit that is out of service by now was opened before that, whatever its seal says today.
            if ($kit->seal === Seal::Intact && $kit->retired_on === null) {
                throw ValidationException::withMessages([
                    'seal_reason' => "{$doing} breaks the seal of {$kit->code}. Say in writing why it was opened.",
                ]);
            }
        }
    }
}
