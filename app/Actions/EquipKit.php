<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Models\Kit;
use Illuminate\Support\Facades\DB;

/** Makes a new kit of a design: an empty bag with a code at a place. It is filled by restocking it. */
final class EquipKit
{
    public function __construct(private readonly KitStates $states)
    {
    }

    /** @param  array{id: string, code: string, name: string, design_id: string, place_id: string, scope: string}  $kit */
    public function __invoke(array $kit, string $day): Kit
    {
        return DB::transaction(function () use ($kit, $day): Kit {
            $known = Kit::query()->find($kit['id']);
            if ($known !== null) {
                return $known;
            }
            $made = new Kit([...$kit, 'seal' => 'none', 'last_movement' => 0]);
            $made->save();
            $this->states->renew($made, $day);

            return $made;
        });
    }
}
