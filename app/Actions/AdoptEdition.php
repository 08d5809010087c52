<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Judging\Plans;
use App\Models\Design;
use App\Models\Kit;
use App\Models\KitList;
use App\Models\Line;
use App\Models\User;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Holds a design, and all its kits, to another edition of its list: lines keep their pockets, new ones get one. */
final class AdoptEdition
{
    public function __construct(
        private readonly Plans $plans,
        private readonly KitStates $states,
    ) {
    }

    /**
     * @param  array<string, string>  $pockets  pocket ids by the code of a line that has none in this design yet
     */
    public function __invoke(Design $design, KitList $edition, array $pockets, User $by, CarbonInterface $at): Design
    {
        return DB::transaction(function () use ($design, $edition, $pockets, $by, $at): Design {
            $design = Design::query()->where('id', $design->id)->with('list')->lockForUpdate()->firstOrFail();
            if ($design->list->code !== $edition->code && $this->adoptModule($design, $edition, $by, $at)) {
                return $design;
            }
            if ($design->list->code !== $edition->code || $design->list_id === $edition->id) {
                throw ValidationException::withMessages(['design' => "{$design->name} does not keep another edition of this list."]);
            }
            $homes = DB::table('line_homes')->join('lines', 'lines.id', '=', 'line_homes.line_id')->where('line_homes.design_id', $design->id)->where('lines.list_id', $design->list_id)
                ->get(['lines.code', 'line_homes.pocket_id', 'line_homes.position'])->keyBy('code');
            $own = DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')->where('leaves.design_id', $design->id)->whereNull('pockets.module_list_id')->pluck('pockets.id')->all();
            $last = (int) DB::table('line_homes')->where('design_id', $design->id)->max('position');
            $rows = [];
            $errors = [];
            foreach ($edition->lines()->get() as $line) {
                /** @var Line $line */
                $home = $homes->get($line->code);
                $pocket = $home->pocket_id ?? strtolower($pockets[$line->code] ?? '');
                if (! in_array($pocket, $own, true)) {
                    $errors["pockets.{$line->code}"] = "Choose the pocket in which \"{$line->need}\" lives in {$design->name}.";
                }
                $rows[] = ['design_id' => $design->id, 'line_id' => $line->id, 'pocket_id' => $pocket, 'position' => $home->position ?? ++$last];
            }
            if ($errors !== []) {
                throw ValidationException::withMessages($errors);
            }
            DB::table('line_homes')->where('design_id', $design->id)->whereIn('line_id', DB::table('lines')->where('list_id', $design->list_id)->pluck('id'))->delete();
            DB::table('line_homes')->insert($rows);
            $before = $design->list->edition;
            $design->update(['list_id' => $edition->id, 'revision' => $design->revision + 1]);
            $this->plans->forget();
            $kits = Kit::query()->where('design_id', $design->id)->where('retired_on', null)->get();
            foreach ($kits as $kit) {
                ChangeKit::record($kit, 'edition', "Held to {$edition->title}, edition {$edition->edition}, instead of edition {$before}", $by, $at);
            }
            $this->states->doubt(array_values($kits->pluck('id')->all()));

            return $design;
        });
    }

    /** Kits of the design that carry another edition as a module are held to this one: the pouch stays, with what is in it. */
    private function adoptModule(Design $design, KitList $edition, User $by, CarbonInterface $at): bool
    {
        $pouch = DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')->join('lists', 'lists.id', '=', 'pockets.module_list_id')
            ->where('leaves.design_id', $design->id)->where('lists.code', $edition->code)->where('lists.id', '!=', $edition->id)->first(['pockets.id', 'pockets.module_list_id', 'lists.edition']);
        if ($pouch === null) {
            return false;
        }
        DB::table('pockets')->where('id', $pouch->id)->update(['module_list_id' => $edition->id]);
        DB::table('line_homes')->where('design_id', $design->id)->where('pocket_id', $pouch->id)->delete();
        $position = (int) $design->homes()->max('position');
        foreach ($edition->lines()->get() as $line) {
            $design->homes()->create(['line_id' => $line->id, 'pocket_id' => $pouch->id, 'position' => ++$position]);
        }
        $kits = Kit::query()->where('design_id', $design->id)->where('retired_on', null)->whereHas('modules', fn ($modules) => $modules->where('list_id', $pouch->module_list_id))->get();
        foreach ($kits as $kit) {
            $kit->modules()->where('list_id', $pouch->module_list_id)->update(['list_id' => $edition->id]);
            ChangeKit::record($kit, 'edition', "{$edition->title}: edition {$edition->edition} instead of edition {$pouch->edition}", $by, $at);
        }
        $this->plans->forget();
        $this->states->doubt(array_values($kits->pluck('id')->all()));

        return true;
    }
}
