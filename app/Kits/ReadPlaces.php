<?php

declare(strict_types=1);

namespace App\Kits;

use App\Judging\KitStates;
use App\Judging\Words;
use App\Kits\Http\KitRow;
use App\Kits\Http\PlaceRef;
use App\Kits\Http\PlaceResource;
use App\Kits\Models\Kit;
use App\Kits\Models\KitFinding;
use App\Kits\Models\Place;
use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Calendar\Day;

/** Every place in walking order with the kits that are there. */
final class ReadPlaces
{
    /** @return list<PlaceResource> */
    public function __invoke(string $today): array
    {
        $places = Place::query()
            ->with([
                'kits' => fn ($kits) => $kits->whereNull('retired_on')->whereNull('parent_kit_id'),
                'kits.state', 'kits.edition.design', 'kits.findings',
            ])
            ->orderBy('walk_order')
            ->get();

        return array_values($places->map(fn (Place $place): PlaceResource => new PlaceResource(
            $place->id, $place->parent_id, $place->kind, $place->name, $place->path,
            array_values($place->kits->map(fn (Kit $kit): KitRow => self::kit($kit, $place, $today))->all()),
        ))->all());
    }

    private static function kit(Kit $kit, Place $place, string $today): KitRow
    {
        $state = $kit->state;
        $overdue = $state?->overdue_from === null ? 0 : max(0, Day::of($today)->number - Day::of($state->overdue_from)->number + 1);

        $isPresent = $state !== null && KitStates::isPresent($state, $today);

        return new KitRow(
            $kit->code,
            $kit->name,
            $kit->edition->design->name,
            new PlaceRef($place->id, $place->name, $place->path),
            $isPresent ? $state->verdict->value : null,
            $state?->due_on,
            $state?->due_kind,
            $overdue,
            $kit->last_full_on,
            $state->wants_restock ?? false,
            $kit->seal->value,
            $isPresent ? self::reasons($kit) : [],
        );
    }

    /** @return list<string> */
    private static function reasons(Kit $kit): array
    {
        return array_values($kit->findings->map(
            static fn (KitFinding $finding): string => Words::found(CheckFinding::fromRow($finding)),
        )->all());
    }
}
