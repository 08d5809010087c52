<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Http\MergingResource;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\DB;

/** What would follow a place that is merged into another one. */
final class ReadMerging
{
    public function __invoke(Place $place): MergingResource
    {
        $text = static fn (mixed $one): string => is_scalar($one) ? (string) $one : '';
        $names = static fn (array $all): array => array_values(array_map($text, $all));

        return new MergingResource(
            $names(Kit::byThemselves()->where('place_id', $place->id)->orderBy('code')->pluck('code')->all()),
            $names(Store::query()->where('place_id', $place->id)->where('retired_on', null)->orderBy('name')->pluck('name')->all()),
            $names(Place::query()->where('parent_id', $place->id)->where('retired_on', null)->orderBy('walk_order')->pluck('name')->all()),
            DB::table('postings')->where('place_id', $place->id)->count(),
            DB::table('cover_needs')->where('place_id', $place->id)->count(),
            $names(DB::table('assessment_area_places')->join('assessment_areas', 'assessment_areas.id', '=', 'assessment_area_id')
                ->join('assessments', 'assessments.id', '=', 'assessment_areas.assessment_id')->whereNull('assessments.signed_on')
                ->where('assessment_area_places.place_id', $place->id)->orderBy('assessment_areas.name')->pluck('assessment_areas.name')->all()),
        );
    }
}
