<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Codes that kits had before: a code is never given to another kit. */
final class FormerCodes
{
    /** The code that the kit with this old one has now; null where none had it. */
    public static function now(string $code): ?string
    {
        $now = DB::table('former_codes')->join('kits', 'kits.id', '=', 'former_codes.kit_id')->where('former_codes.code', $code)->value('kits.code');

        return is_string($now) ? $now : null;
    }

    public static function keep(Kit $kit, string $day): void
    {
        DB::table('former_codes')->insertOrIgnore(['code' => $kit->code, 'kit_id' => $kit->id, 'until' => $day]);
    }

    /**
     * @param  list<string>  $codes
     * @param  Kit|null  $but  a kit may have its own former code again
     *
     * @throws ValidationException at each code that another kit has or had
     */
    public static function refuseTaken(array $codes, ?Kit $but = null): void
    {
        $kits = DB::table('kits')->whereIn('code', $codes)->pluck('id', 'code')->all();
        $former = DB::table('former_codes')->join('kits', 'kits.id', '=', 'former_codes.kit_id')->whereIn('former_codes.code', $codes)
            ->get(['former_codes.code', 'former_codes.kit_id', 'kits.code as now'])->keyBy('code');
        $errors = [];
        foreach ($codes as $at => $code) {
            $field = count($codes) === 1 ? 'code' : "kits.{$at}.code";
            $had = $former[$code] ?? null;
            if (isset($kits[$code]) && $kits[$code] !== $but?->id) {
                $errors[$field] = 'Another kit has this code. Choose one that is free.';
            } elseif ($had !== null && $had->kit_id !== $but?->id) {
                $errors[$field] = "{$had->now} had this code before: an old label would lead to the wrong kit. Choose one that no kit had.";
            }
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }
    }
}
