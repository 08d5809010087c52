<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Support\Http\KnownIds;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Kit\Condition;

/** Requests that name pieces of a kit: by pocket, lot and condition. */
trait NamesPieces
{
    /**
     * @param  string  $each  the field of the rows with a star: "taken.*"
     * @param  bool  $haveConditions  pieces that come from a store are good
     * @return array<string, list<mixed>>
     */
    private static function pieceRules(string $each, bool $haveConditions = true): array
    {
        return [
            // That of a module has the module's id and a dot before it.
            "{$each}.pocket_id" => ['required', 'string', 'max:53'],
            "{$each}.lot_id" => ['bail', 'required', 'string', new KnownIds('lots', 'This lot is not on record.')],
            ...($haveConditions ? [
                "{$each}.condition" => ['required', Rule::enum(Condition::class)],
                "{$each}.opened_on" => ['nullable', 'date_format:Y-m-d', "prohibited_unless:{$each}.condition,opened"],
            ] : []),
        ];
    }

    /** The id that the page gave to what is sent. */
    private static function ulid(string $id): string
    {
        return Str::isUlid($id) ? Str::lower($id)
            : throw ValidationException::withMessages(['id' => 'The id of what is recorded is a ULID.']);
    }

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
