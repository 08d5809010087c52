<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\Assessment;
use App\Assess\Models\AssessmentArea;
use App\Kits\KeepPlaces;
use App\Kits\Models\Place;

/** Adds a place for each vehicle that an assessment counts, so that no two vehicle kits share one. */
final class PlaceVehicles
{
    private const KIND = 'vehicle';

    public function __construct(private readonly KeepPlaces $places)
    {
    }

    /** Counts the vehicles of an area that no place stands for yet. */
    public static function missing(AssessmentArea $area): int
    {
        return max(0, $area->vehicles - $area->places->where('kind', self::KIND)->count());
    }

    /** Adds the missing places beside the area's other vehicles, else at the site, and attaches them to the area. */
    public function __invoke(Assessment $assessment): void
    {
        foreach ($assessment->areas()->with('places')->get() as $area) {
            $count = self::missing($area);
            if ($count === 0) {
                continue;
            }
            $beside = $area->places->firstWhere('kind', self::KIND);
            $parent = $beside === null ? Place::query()->where('kind', 'site')->whereNull('retired_on')->value('id') : $beside->parent_id;
            $position = $area->places->count();
            foreach ($this->places->addNumbered('Vehicle', self::KIND, $count, $parent) as $place) {
                $area->places()->attach($place->id, ['position' => $position++]);
            }
        }
    }
}
