<?php

declare(strict_types=1);

namespace App\Rotations;

use App\Accounts\Models\User;
use App\Rotations\Models\Rotation;
use App\Rotations\Models\RotationMove;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Rotate\Move;

/** Keeps a plan that was agreed to until it is carried out or ended: one at a time, so that no piece is promised twice. */
final class KeepRotations
{
    public function __construct(private readonly FindRotation $find)
    {
    }

    /** @param  string  $id  a ULID made by the page: sent twice, one plan is kept */
    public function agree(string $id, User $by, string $today): void
    {
        Transaction::run(function () use ($id, $by, $today): void {
            // Whoever agrees at the same moment waits here.
            $open = Rotation::query()->where('ended_on', null)->lockForUpdate()->first();
            if ($open !== null || Rotation::query()->where('id', $id)->exists()) {
                if ($open !== null && $open->id !== $id) {
                    throw ValidationException::withMessages(['rotation' => 'A plan is being carried out already. End it first, or go on with it.']);
                }

                return;
            }
            $plan = ($this->find)($today);
            if ($plan->moves() === []) {
                throw ValidationException::withMessages(['rotation' => 'Nothing would be saved by moving pieces today.']);
            }
            Rotation::query()->create([
                'id' => $id, 'made_by_id' => $by->id, 'made_on' => $today, 'saved' => $plan->saved(), 'value' => $plan->value(),
            ]);
            DB::table('rotation_moves')->insert(array_map(static fn (Move $move, int $position): array => [
                'id' => Str::lower((string) Str::ulid()), 'rotation_id' => $id, 'position' => $position, 'lot_id' => $move->lot,
                'from_kit_id' => $move->from, 'to_kit_id' => $move->to, 'quantity' => $move->quantity,
            ], $plan->moves(), array_keys($plan->moves())));
        });
    }

    public function drop(RotationMove $move, string $reason, string $today): void
    {
        $dropped = RotationMove::query()->where('id', $move->id)->where('operation_number', null)->where('dropped_because', null)
            ->update(['dropped_because' => $reason]);
        if ($dropped === 0 && RotationMove::query()->where('id', $move->id)->where('dropped_because', $reason)->doesntExist()) {
            throw ValidationException::withMessages(['reason' => 'This was done or left out already. Open the plan again.']);
        }
        self::endWhereDone($move->rotation_id, $today);
    }

    public function end(Rotation $rotation, string $today): void
    {
        Rotation::query()->where('id', $rotation->id)->where('ended_on', null)->update(['ended_on' => $today]);
    }

    /** A plan of which nothing is left to do has ended. */
    public static function endWhereDone(string $rotationId, string $today): void
    {
        $isLeft = DB::table('rotation_moves')->where('rotation_id', $rotationId)
            ->whereNull('operation_number')->whereNull('dropped_because')->exists();
        if (! $isLeft) {
            DB::table('rotations')->where('id', $rotationId)->whereNull('ended_on')->update(['ended_on' => $today]);
        }
    }
}
