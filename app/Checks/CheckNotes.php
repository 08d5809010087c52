<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\User;
use App\Checks\Http\CheckNote;
use App\Checks\Http\NotesResource;
use App\Kits\Models\Kit;
use App\Ledger\Models\Operation;
use App\Support\Stale;
use Carbon\CarbonInterface;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Notes that were left at checks: each waits for the next one on the kit until somebody answers it. */
final class CheckNotes
{
    private const SHOWN = 20;

    /** Within the transaction that recorded the check. */
    public function leave(int $operation, string $kitId): void
    {
        DB::table('check_notes')->insert(['operation_number' => $operation, 'kit_id' => $kitId]);
    }

    /** @return list<CheckNote> of the kit and of the modules in it, oldest first */
    public function of(Kit $kit): array
    {
        return self::notes($this->open()->whereIn('check_notes.kit_id', array_map(static fn (Kit $one): string => $one->id, $kit->whole())));
    }

    public function all(): NotesResource
    {
        $notes = self::notes($this->open()->limit(self::SHOWN));

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

    /** @return list<CheckNote> */
    private static function notes(Builder $open): array
    {
        return array_values($open->get(['operations.id', 'kits.code', 'kits.name', 'operations.day', 'operations.user_name', 'operations.note'])
            ->map(static fn (stdClass $row): CheckNote => new CheckNote(
                $row->id, $row->code, $row->name, $row->day, (string) $row->user_name, (string) $row->note,
            ))->all());
    }
}
