<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\User;
use App\Checks\Models\Unsettled;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Ledger\OperationIdIsTaken;
use App\Ledger\OperationKind;
use App\Ledger\WhenDone;
use Carbon\CarbonInterface;
use Illuminate\Validation\ValidationException;

/** Keeps what arrived late and could not be recorded as it was sent, until somebody settles it. Nothing that was sent is dropped. */
final class KeepUnsettled
{
    /**
     * @param  list<UnsettledRow>  $rows
     * @param  int|null  $operation  under which the rest is on record
     * @param  string|null  $body  all that was sent, where nothing of it could be recorded
     */
    public function keep(
        string $id,
        OperationKind $kind,
        Kit $kit,
        User $by,
        WhenDone $when,
        array $rows,
        ?int $operation,
        ?string $body = null,
    ): void {
        Unsettled::query()->insert(
            array_map(
                static fn (UnsettledRow $row): array => [
                    'operation_id' => $id,
                    'operation_number' => $operation,
                    'kit_id' => $kit->id,
                    'kind' => $kind->value,
                    'because' => $row->because,
                    'subject' => $row->subject === null ? null : mb_substr($row->subject, 0, 200),
                    'lot_number' => $row->lot,
                    'pocket' => $row->pocket,
                    'sent' => $row->sent,
                    'recorded' => $row->recorded,
                    'body' => $body,
                    'user_id' => $by->id,
                    'done_at' => KitHistory::instant($when->doneAt),
                    'received_at' => KitHistory::instant($when->receivedAt),
                ],
                $rows,
            ),
        );
    }

    /**
     * Whether something is kept under that id already of which nothing could be recorded.
     *
     * @throws OperationIdIsTaken where it is of another kit or by somebody else
     */
    public function has(string $id, Kit $kit, User $by): bool
    {
        $kept = Unsettled::query()->where('operation_id', $id)->whereNull('operation_number')->first();
        if ($kept !== null && ($kept->kit_id !== $kit->id || $kept->user_id !== $by->id)) {
            throw new OperationIdIsTaken;
        }

        return $kept !== null;
    }

    /** Somebody saw to it, and says how. */
    public function settle(Unsettled $unsettled, string $note, User $by, CarbonInterface $at): void
    {
        $changed = Unsettled::query()->where('id', $unsettled->id)->whereNull('settled_at')
            ->update(['settled_at' => KitHistory::instant($at), 'settled_by_id' => $by->id, 'settled_note' => $note]);
        if ($changed === 0) {
            throw ValidationException::withMessages(['note' => 'Somebody has settled this already. Load the page again.']);
        }
    }
}
