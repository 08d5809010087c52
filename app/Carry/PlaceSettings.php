<?php

declare(strict_types=1);

namespace App\Carry;

use Illuminate\Support\Facades\DB;

/** In which setting each place lies: its own, that of the nearest place above it that has one, else a workplace. */
final class PlaceSettings
{
    /** @return list<string> ids of the places of a setting */
    public function placesOf(Setting $setting): array
    {
        $rows = DB::table('places')->get(['id', 'parent_id', 'setting'])->keyBy('id');
        $found = [];
        foreach ($rows as $id => $row) {
            for ($at = $row; $at->setting === null && $rows->has($at->parent_id ?? '');) {
                $at = $rows[$at->parent_id];
            }
            if (($at->setting ?? Setting::Workplace->value) === $setting->value) {
                $found[] = (string) $id;
            }
        }

        return $found;
    }
}
