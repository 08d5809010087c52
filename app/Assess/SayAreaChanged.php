<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;
use App\Assess\Models\AreaChange;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;

/** Somebody saw that an area is no longer as it was assessed. Nobody sees more of it in a day than can be looked into. */
final class SayAreaChanged
{
    private const A_DAY = 10;

    public function __invoke(AreaChange $seen): void
    {
        Transaction::run(function () use ($seen): void {
            User::query()->where('id', $seen->user_id)->lockForUpdate()->firstOrFail();
            $said = AreaChange::query()->where('user_id', $seen->user_id)->where('seen_on', $seen->seen_on)->count();
            if ($said >= self::A_DAY) {
                throw ValidationException::withMessages([
                    'what' => 'You have said that of '.self::A_DAY.' areas today. Tell your lead about the rest, or say it tomorrow.',
                ]);
            }
            $seen->save();
        });
    }
}
