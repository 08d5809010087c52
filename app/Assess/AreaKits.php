<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\Assessment;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Places\Nearest;
use Sarcina\Core\Provision\HeldKit;
use Sarcina\Core\Provision\KitSize;

/** Which kits exist in which area: a place belongs to the area that names it, or the nearest place that it lies in. */
final class AreaKits
{
    /** @return list<HeldKit> by code */
    public function of(Assessment $assessment): array
    {
        $areas = [];
        foreach ($assessment->areas as $area) {
            foreach ($area->places as $place) {
                $areas[$place->id] = $area->id;
            }
        }
        $parents = DB::table('places')->pluck('parent_id', 'id')->all();
        $kits = Kit::byThemselves()->with(['edition.design', 'edition.modules', 'modules.edition.modules'])->orderBy('code')->get();

        return array_values(
            $kits
                ->map(static function (Kit $kit) use ($areas, $parents): HeldKit {
                    $place = Nearest::of(
                        $kit->place_id,
                        static fn (string $at): ?string => $parents[$at] ?? null,
                        static fn (string $at): bool => isset($areas[$at]),
                    );

                    return new HeldKit(
                        $kit->id, $place === null ? null : $areas[$place],
                        $kit->edition->design->provides === null ? null : KitSize::from($kit->edition->design->provides),
                        array_values(array_unique(array_merge(...array_map(
                            static fn (Kit $one): array => $one->edition->modules->pluck('module')->all(),
                            $kit->whole(),
                        )))),
                    );
                })->all());
    }
}
