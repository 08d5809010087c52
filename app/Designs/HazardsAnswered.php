<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Catalogue;
use App\Designs\Models\Design;
use App\Kits\PlacesAbove;
use App\Lists\ListLoader;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Provision\Answers;
use Sarcina\Core\Provision\Risk;
use stdClass;

/** Finds the hazards, at the places of a design's kits, that an item answers: those whose module's list accepts the item. */
final class HazardsAnswered
{
    public function __construct(
        private readonly PlacesAbove $places,
        private readonly Catalogue $catalogue,
    ) {
    }

    /**
     * @param  Design|null  $design  null: a new one, which no kit follows
     * @param  list<string>  $items  codes
     * @return array<string, list<string>> such as "burns in Café kitchen", by the code of the item
     */
    public function of(?Design $design, array $items): array
    {
        $areas = $design === null || $items === [] ? [] : $this->areas($design);
        $known = $this->catalogue->items($items);
        $answered = [];
        foreach ($this->modules(array_keys($areas)) as $risk => $list) {
            foreach ($list->lines->map(static fn (Line $line) => ListLoader::line($line)) as $line) {
                foreach ($items as $item) {
                    if ($line->entryFor($known[$item]) !== null) {
                        $answered[$item][$risk] = Risk::from($risk)->words().' in '.implode(', ', $areas[$risk]);
                    }
                }
            }
        }

        return array_map(array_values(...), $answered);
    }

    /** @return array<string, list<string>> names of assessed areas by risk, of signed assessments that no later one replaces */
    private function areas(Design $design): array
    {
        $places = $this->above(array_values(array_map(strval(...), DB::table('kits')
            ->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')->where('design_editions.design_id', $design->id)
            ->whereNull('kits.retired_on')->distinct()->pluck('kits.place_id')->all())));
        $assessed = $this->assessed($places);
        $ids = array_map(static fn (stdClass $area): string => (string) $area->id, $assessed);
        $risks = DB::table('assessment_area_risks')->whereIn('assessment_area_id', $ids)
            ->get(['assessment_area_id', 'risk'])->groupBy('assessment_area_id');
        $areas = [];
        foreach ($assessed as $area) {
            $named = array_values(array_filter(array_map(
                static fn (stdClass $row): ?Risk => Risk::tryFrom((string) $row->risk), $risks->get($area->id)?->all() ?? [],
            )));
            foreach (Answers::risks((int) $area->children, (int) $area->minutes_to_help, $named) as $risk) {
                $areas[$risk->value][] = (string) $area->name;
            }
        }

        return $areas;
    }

    /**
     * @param  list<string>  $places
     * @return list<stdClass>
     */
    private function assessed(array $places): array
    {
        return array_values(DB::table('assessment_areas')->join('assessments', 'assessments.id', '=', 'assessment_areas.assessment_id')
            ->whereNotNull('assessments.signed_on')
            ->whereNotExists(static fn ($next) => $next->from('assessments as next')->whereColumn('next.follows_id', 'assessments.id')
                ->whereNotNull('next.signed_on'))
            ->whereIn('assessment_areas.id', static fn ($rows) => $rows->from('assessment_area_places')->whereIn('place_id', $places)
                ->select('assessment_area_id'))
            ->orderBy('position')->get(['assessment_areas.id', 'name', 'children', 'minutes_to_help'])->all());
    }

    /**
     * @param  list<string>  $places
     * @return list<string> these places and every place above them
     */
    private function above(array $places): array
    {
        $this->places->readAhead($places);
        $all = [];
        foreach ($places as $place) {
            for ($one = $place; $one !== null && ! isset($all[$one]); $one = $this->places->parent($one)) {
                $all[$one] = true;
            }
        }

        return array_map(strval(...), array_keys($all));
    }

    /**
     * @param  list<string>  $risks
     * @return array<string, KitList> the list of each risk's module, by risk
     */
    private function modules(array $risks): array
    {
        $chosen = DB::table('provision_choices')->whereIn('wanted', $risks)->pluck('list_id', 'wanted')->all();
        $lists = KitList::query()->whereIn('id', array_values($chosen))->with(['lines.entries.item', 'lines.entries.limits'])->get()->keyBy('id');

        return array_filter(array_map(static fn (mixed $list): ?KitList => $lists->get($list), $chosen));
    }
}
