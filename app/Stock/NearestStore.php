<?php

declare(strict_types=1);

namespace App\Stock;

use App\Kits\Models\Kit;
use App\Kits\PlacesAbove;
use App\Stock\Models\Store;
use Illuminate\Database\Eloquent\Collection;
use Sarcina\Core\Places\Nearest;

/** From which store a kit is restocked where nobody says otherwise: the nearest to its place; of those alike, the one that was set up first. */
final class NearestStore
{
    public function __construct(private readonly PlacesAbove $places)
    {
    }

    public function __invoke(Kit $kit): ?Store
    {
        return $this->among($kit, Store::query()->where('retired_on', null)->orderBy('id')->get());
    }

    /** @param  Collection<int, Store>  $stores */
    public function among(Kit $kit, Collection $stores): ?Store
    {
        if ($stores->count() < 2) {
            return $stores->first();
        }
        $candidates = array_values($stores->pluck('place_id')->all());
        $this->places->readAhead([$kit->place_id, ...$candidates]);
        $nearest = Nearest::among($kit->place_id, $this->places->parent(...), $candidates);

        return $stores->firstWhere('place_id', $nearest) ?? $stores->first();
    }
}
