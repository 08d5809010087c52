<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use Illuminate\Validation\ValidationException;

/** Requests that name pockets of a kit. */
trait KnownPockets
{
    /** @param  array<string, string>  $named  pockets by the field that names them */
    private static function refuseUnknownPockets(Kit $kit, array $named): void
    {
        // Plans that are kept are read at once.
        app(JudgingVersion::class)->now();
        $pockets = app(KitPlans::class)->forKit($kit)->pockets;
        $unknown = array_filter($named, static fn (string $pocket): bool => ! isset($pockets[$pocket]));
        if ($unknown !== []) {
            throw ValidationException::withMessages(array_fill_keys(
                array_keys($unknown), "Kit {$kit->code} has no such pocket; its design may have changed. Open the kit again.",
            ));
        }
    }

    /**
     * @param  list<array{pocket_id: string}>  $rows
     * @return array<string, string>
     */
    private static function pocketsOf(array $rows, string $field): array
    {
        $named = [];
        foreach ($rows as $at => $row) {
            $named["{$field}.{$at}.pocket_id"] = $row['pocket_id'];
        }

        return $named;
    }
}
