<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\User;
use App\Checks\Http\CheckNote;
use App\Checks\Http\CheckRef;
use App\Checks\Http\NotesResource;
use App\Kits\Models\Kit;
use App\Ledger\Models\Operation;
use App\Ledger\OperationKind;
use App\Support\Stale;
use Carbon\CarbonInterface;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Notes that were left at checks: each waits for the next one on the kit until somebody answers it. */
final class CheckNotes
{
    private const SHOWN = 20;

    private const COLUMNS = [
        'operations.number', 'operations.id', 'operations.kind', 'operations.day', 'operations.done_at', 'operations.signed', 'operations.user_name',
    ];

    /** Within the transaction that recorded the check. */
    public function leave(int $operation, string $kitId): void
    {
        DB::table('check_notes')->insert(['operation_number' => $operation, 'kit_id' => $kitId]);
    }

    /**
     * What is told of a kit's checks, in one question: the last one that answers for it, and the notes that were left on it and on the
     * modules in it, oldest first.
     *
     * @return array{CheckRef|null, list<CheckNote>}
     */
    public function withLastCheck(Kit $kit): array
    {
        $last = DB::table('checks')->join('operations', 'operations.number', '=', 'checks.operation_number')
            ->where('checks.kit_id', $kit->id)->where('checks.standing', 'stands')->orderByDesc('checks.operation_number')->limit(1)
            ->select([...self::COLUMNS, 'checks.verdict as text', DB::raw('NULL AS code'), DB::raw('NULL AS name')]);
        $notes = $this->open()->whereIn('check_notes.kit_id', array_map(static fn (Kit $one): string => $one->id, $kit->whole()))
            ->select([...self::COLUMNS, 'operations.note as text', 'kits.code', 'kits.name']);
        [$checks, $left] = DB::query()->fromSub($last, 'last_check')->unionAll(DB::query()->fromSub($notes, 'notes'))->get()
            ->sortBy('number')->partition(static fn (stdClass $row): bool => $row->code === null);
        $check = $checks->first();

        return [
            $check === null ? null : new CheckRef(
                $check->id, $check->kind === OperationKind::FullCheck->value ? 'full' : 'quick', $check->day, $check->done_at.'Z',
                (string) $check->signed, (string) $check->user_name, $check->text,
            ),
            array_values($left->map(self::note(...))->all()),
        ];
    }

    public function all(): NotesResource
    {
        $rows = $this->open()->limit(self::SHOWN)->get([...self::COLUMNS, 'operations.note as text', 'kits.code', 'kits.name']);
        $notes = array_values($rows->map(self::note(...))->all());

        return new NotesResource($notes, count($notes) < self::SHOWN ? count($notes) : $this->open()->count());
    }

    /** @throws Stale where somebody else answered it meanwhile; the same answer by the same person counts once */
    public function answer(Operation $check, string $answer, User $by, CarbonInterface $at): void
    {
        $answered = DB::table('check_notes')->where('operation_number', $check->number)->whereNull('answered_at')->update([
            'answered_by_id' => $by->id, 'answer' => $answer, 'answered_at' => $at->copy()->utc()->format('Y-m-d H:i:s'),
        ]);
        if ($answered === 1) {
            return;
        }
        $there = DB::table('check_notes')->join('users', 'users.id', '=', 'check_notes.answered_by_id')
            ->where('operation_number', $check->number)->first(['users.name', 'users.id', 'check_notes.answer']);
        if ($there === null) {
            abort(404);
        }
        if ($there->id !== $by->id || $there->answer !== $answer) {
            throw new Stale('Somebody answered this note in the meantime. Nothing was saved.', ["{$there->name}: {$there->answer}"], 0);
        }
    }

    private function open(): Builder
    {
        return DB::table('check_notes')->join('operations', 'operations.number', '=', 'check_notes.operation_number')
            ->join('kits', 'kits.id', '=', 'check_notes.kit_id')->whereNull('check_notes.answered_at')->whereNull('kits.retired_on')
            ->orderBy('check_notes.operation_number');
    }

    private static function note(stdClass $row): CheckNote
    {
        return new CheckNote($row->id, $row->code, $row->name, $row->day, (string) $row->user_name, (string) $row->text);
    }
}
