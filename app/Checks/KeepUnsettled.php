<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\User;
use App\Checks\Models\Unsettled;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Ledger\OperationIdIsTaken;
use App\Ledger\OperationKind;
use App\Ledger\SentContents;
use App\Ledger\WhenDone;
use App\Stock\LateMovements;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps what arrived late and could not be recorded as it was sent, until somebody settles it. Nothing that was sent is dropped. */
final class KeepUnsettled
{
    public function __construct(private readonly SentContents $sent)
    {
    }

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
                    'pieces_kit_id' => $row->pieces?->kitId,
                    'pieces_pocket_id' => $row->pieces?->pocketId,
                    'pieces_lot_id' => $row->pieces?->lotId,
                    'pieces_condition' => $row->pieces?->condition,
                    'pieces' => $row->pieces?->quantity,
                    'other_operation' => $row->other,
                    'body' => $body,
                    'user_id' => $by->id,
                    'done_at' => KitHistory::instant($when->doneAt),
                    'received_at' => KitHistory::instant($when->receivedAt),
                ],
                $rows,
            ),
        );
        self::countDoubts($rows);
        $this->sent->keep($id);
    }

    /**
     * Keeps on the kits how many of their entries may have come before a full check or after it.
     *
     * @param  list<UnsettledRow>  $rows
     */
    private static function countDoubts(array $rows): void
    {
        foreach ($rows as $row) {
            if ($row->because === LateMovements::IN_DOUBT && $row->pieces !== null) {
                DB::table('kits')->where('id', $row->pieces->kitId)->increment('open_doubts');
            }
        }
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
        if ($kept !== null) {
            $this->sent->refuseOthers($id);
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
        if ($unsettled->because === LateMovements::IN_DOUBT && $unsettled->pieces_kit_id !== null) {
            DB::table('kits')->where('id', $unsettled->pieces_kit_id)->where('open_doubts', '>', 0)->decrement('open_doubts');
        }
    }
}
