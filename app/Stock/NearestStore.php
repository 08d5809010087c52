<?php

declare(strict_types=1);

namespace App\Stock;

use App\Kits\Models\Kit;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Places\Nearest;

/** From which store a kit is restocked where nobody says otherwise: the nearest to its place; of those alike, the one that was set up first. */
final class NearestStore
{
    public function __invoke(Kit $kit): ?Store
    {
        $stores = Store::query()->orderBy('id')->get();
        if ($stores->count() < 2) {
            return $stores->first();
        }
        $parents = DB::table('places')->pluck('parent_id', 'id')->all();
        $nearest = Nearest::among(
            $kit->place_id,
            static fn (string $place): ?string => $parents[$place] ?? null,
            array_values($stores->pluck('place_id')->all()),
        );

        return $stores->firstWhere('place_id', $nearest) ?? $stores->first();
    }
}
