<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Kits\Models\KitException;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;

/** Lets a kit differ from the others of its design on purpose, with a reason and a day on which that ends. It changes no verdict. */
final class KeepExceptions
{
    private const MOST_DAYS = 366;

    /** Sent twice, there is one. */
    public function make(Kit $kit, string $id, string $name, string $reason, string $endsOn, User $by, string $day): void
    {
        if ($endsOn < $day || $endsOn > CarbonImmutable::parse($day)->addDays(self::MOST_DAYS)->toDateString()) {
            throw ValidationException::withMessages(['ends_on' => 'Choose the day on which it ends: from today to a year ahead.']);
        }
        Transaction::run(function () use ($kit, $id, $name, $reason, $endsOn, $by, $day): void {
            $kit = Kit::query()->where('id', $kit->id)->lockForUpdate()->firstOrFail();
            $kit->refuseRetired();
            $known = KitException::query()->find($id);
            if ($known !== null) {
                if ($known->kit_id !== $kit->id) {
                    throw ValidationException::withMessages(['name' => 'This exception belongs to another kit. Open the page again.']);
                }

                return;
            }
            if (KitException::query()->where('kit_id', $kit->id)->whereNull('ended_on')->where('ends_on', '>=', $day)->exists()) {
                throw ValidationException::withMessages(['name' => "{$kit->code} differs on purpose already. End that first."]);
            }
            KitException::query()->create([
                'id' => $id, 'kit_id' => $kit->id, 'name' => $name, 'reason' => $reason, 'ends_on' => $endsOn, 'made_by_id' => $by->id,
                'made_on' => $day,
            ]);
        });
    }

    public function end(Kit $kit, string $id, User $by, string $day): void
    {
        KitException::query()->where('id', $id)->where('kit_id', $kit->id)->whereNull('ended_on')
            ->update(['ended_on' => $day, 'ended_by_id' => $by->id]);
    }
}
