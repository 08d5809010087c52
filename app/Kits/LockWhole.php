<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Models\Kit;
use App\Support\DoneAtTheSameMoment;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** Holds a kit with all that is recorded together with it: its modules, or the kit that it is a module in. */
final class LockWhole
{
    /** @return array{Kit, Kit} the kit by itself, and the one that was asked for: the same, or a module in it */
    public static function around(string $id): array
    {
        // Nothing is read before the lock: a plain read would fix a snapshot of what was there before others let go.
        $kit = Kit::locked($id);
        if ($kit->parent_kit_id === null) {
            return [$kit, $kit];
        }
        $whole = Kit::locked($kit->parent_kit_id);
        $module = $whole->modules->firstWhere('id', $id);

        return $module instanceof Kit ? [$whole, $module] : throw new DoneAtTheSameMoment;
    }

    /** Who reaches into a module opens the kit that it is in: with that kit's seal on it this cannot have been done. */
    public static function refuseSealedAround(Kit $whole, Kit $module, string $field): void
    {
        if ($whole->id !== $module->id && $whole->seal === Seal::Intact) {
            throw ValidationException::withMessages([
                $field => "{$module->code} is in {$whole->code}, and a seal is on that. Report it broken first, with the reason.",
            ]);
        }
    }
}
