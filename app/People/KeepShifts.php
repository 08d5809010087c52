<?php

declare(strict_types=1);

namespace App\People;

use App\Judging\KitStates;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Staffing\Shift;

/** Keeps all shifts at once: their names, days and hours. One that people are posted to or that a place asks for is not removed. */
final class KeepShifts
{
    public function __construct(private readonly KitStates $states)
    {
    }

    /**
     * @param  list<array{was: string|null, shift: Shift}>  $shifts  `was`: its name before, null for a new one
     *
     * @throws ValidationException
     */
    public function __invoke(array $shifts): void
    {
        Transaction::run(function () use ($shifts): void {
            // A name follows wherever it is used, also in what is kept of kits: who judges meanwhile does so again.
            $this->states->mark();
            $known = DB::table('shifts')->orderBy('position')->lockForUpdate()->pluck('name')->map(strval(...))->all();
            $stay = array_filter(array_column($shifts, 'was'), is_string(...));
            foreach (array_diff($known, $stay) as $gone) {
                self::remove($gone);
            }
            // Two that take each other's name do not meet on the way.
            foreach ($shifts as $at => ['was' => $was]) {
                if ($was !== null && in_array($was, $known, true)) {
                    DB::table('shifts')->where('name', $was)->update(['name' => "\u{1}{$at}"]);
                }
            }
            foreach ($shifts as $at => ['was' => $was, 'shift' => $shift]) {
                $columns = [
                    'name' => $shift->name, 'weekdays' => Shifts::asBits($shift->weekdays), 'starts_at' => Shifts::time($shift->from),
                    'ends_at' => Shifts::time($shift->to), 'position' => $at + 1,
                ];
                $was !== null && in_array($was, $known, true)
                    ? DB::table('shifts')->where('name', "\u{1}{$at}")->update($columns)
                    : DB::table('shifts')->insert($columns);
            }
        });
    }

    private static function remove(string $shift): void
    {
        if (DB::table('postings')->where('shift', $shift)->exists() || DB::table('cover_needs')->where('shift', $shift)->exists()) {
            throw ValidationException::withMessages(['shifts' => [
                "The shift {$shift} stays: people are posted to it, or a place asks for somebody in it. Move those first.",
            ]]);
        }
        DB::table('shifts')->where('name', $shift)->delete();
    }
}
