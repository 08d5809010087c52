<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Ledger\Base;
use App\Ledger\Head;
use App\Ledger\OperationIdIsTaken;
use App\Ledger\OperationKind;
use App\Ledger\OperationsSince;
use App\Ledger\Record;
use App\Ledger\WhenDone;

/** Meets what is sent of a kit that is held: whether it was sent before, whether it came late, and keeps what cannot be recorded. */
final class Arrivals
{
    public function __construct(
        private readonly Record $record,
        private readonly OperationsSince $since,
        private readonly LateCheck $late,
        private readonly KeepUnsettled $unsettled,
    ) {
    }

    /**
     * @return Recorded|null what became of it where it was sent before; null: it is new
     *
     * @throws OperationIdIsTaken where that id is of another kind or kit, or somebody else's
     */
    public function before(string $id, OperationKind $kind, User $by, Kit $kit): ?Recorded
    {
        $known = $this->record->known($id, $kind, $by, [$kit->id]);

        return $known !== null || $this->unsettled->has($id, $kit, $by) ? Recorded::under($known, $id) : null;
    }

    public function of(Kit $kit, Base $base, WhenDone $when): Arrival
    {
        $head = Head::read();
        $this->record->refuseAhead($base, $head);
        $since = $this->since->of($kit, $base, $head);
        $isRetired = $kit->retired_on !== null;

        return new Arrival($head, $since, $since !== [] || $isRetired, $isRetired && ! $this->late->wasBeforeRetirement($kit, $when));
    }

    /**
     * Nothing of it can be recorded: somebody settles it.
     *
     * @param  list<UnsettledRow>  $rows
     * @param  string|null  $body  as it was sent
     */
    public function keep(string $id, OperationKind $kind, Kit $kit, User $by, WhenDone $when, array $rows, ?string $body): Recorded
    {
        $this->unsettled->keep($id, $kind, $kit, $by, $when, $rows, null, $body);

        return Recorded::under(null, $id);
    }

    /** It was done when the kit was out of service. */
    public function keepRetired(
        string $id, OperationKind $kind, Kit $kit, User $by, WhenDone $when, ?string $body, string $more = '',
    ): Recorded {
        $row = new UnsettledRow('kit_retired', "{$kit->code} {$kit->name}{$more}");

        return $this->keep($id, $kind, $kit, $by, $when, [$row], $body);
    }
}
