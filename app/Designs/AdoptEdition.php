<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Designs\Models\Design;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Holds a design, and all its kits, to another edition of its list: lines keep their pockets, new ones get one. */
final class AdoptEdition
{
    public function __construct(
        private readonly KitPlans $plans,
        private readonly KitStates $states,
        private readonly Record $record,
        private readonly Organisation $organisation,
    ) {
    }

    /**
     * @param  array<string, string>  $pockets  pocket ids by the code of a line that has none in this design yet
     */
    public function __invoke(Design $design, KitList $edition, array $pockets, User $by, CarbonInterface $at): Design
    {
        return Transaction::run(function () use ($design, $edition, $pockets, $by, $at): Design {
            $this->states->beginChange();
            $design = Design::query()->where('id', $design->id)->with('list')->lockForUpdate()->firstOrFail();
            if ($design->list->code !== $edition->code && $this->adoptModule($design, $edition, $by, $at)) {
                return $design;
            }
            if ($design->list->code !== $edition->code || $design->list_id === $edition->id) {
                throw ValidationException::withMessages(['design' => "{$design->name} does not keep another edition of this list."]);
            }
            $homes = DB::table('line_homes')
                ->join('lines', 'lines.id', '=', 'line_homes.line_id')
                ->where('line_homes.design_id', $design->id)
                ->where('lines.list_id', $design->list_id)
                ->get(['lines.code', 'line_homes.pocket_id', 'line_homes.position'])
                ->keyBy('code');
            $own = DB::table('pockets')
                ->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')
                ->where('leaves.design_id', $design->id)
                ->whereNull('pockets.module_list_id')
                ->pluck('pockets.id')
                ->all();
            $last = (int) DB::table('line_homes')->where('design_id', $design->id)->max('position');
            $rows = [];
            $errors = [];
            foreach ($edition->lines()->get() as $line) {
                /** @var Line $line */
                $home = $homes->get($line->code);
                $pocket = $home->pocket_id ?? strtolower($pockets[$line->code] ?? '');
                if (! in_array($pocket, $own, true)) {
                    $errors["pockets.{$line->code}"] = "Choose the pocket in which \"{$line->need}\" goes in {$design->name}.";
                }
                $rows[] = ['design_id' => $design->id, 'line_id' => $line->id, 'pocket_id' => $pocket, 'position' => $home->position ?? ++$last];
            }
            if ($errors !== []) {
                throw ValidationException::withMessages($errors);
            }
            DB::table('line_homes')
                ->where('design_id', $design->id)
                ->whereIn('line_id', DB::table('lines')->where('list_id', $design->list_id)->pluck('id'))
                ->delete();
            DB::table('line_homes')->insert($rows);
            [$listBefore, $before] = [$design->list->id, $design->list->edition];
            $design->update(['list_id' => $edition->id, 'revision' => $design->revision + 1]);
            $this->plans->forget();
            $kits = Kit::query()->where('design_id', $design->id)->where('retired_on', null)->with('place')->orderBy('id')->lockForUpdate()->get();
            $this->record($kits, $listBefore, $before, $edition, $by, $at);

            return $design;
        });
    }

    /** Kits of the design that carry another edition as a module are held to this one: the pouch stays, with what is in it. */
    private function adoptModule(Design $design, KitList $edition, User $by, CarbonInterface $at): bool
    {
        $pouch = DB::table('pockets')
            ->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')
            ->join('lists', 'lists.id', '=', 'pockets.module_list_id')
            ->where('leaves.design_id', $design->id)
            ->where('lists.code', $edition->code)
            ->where('lists.id', '!=', $edition->id)
            ->first(['pockets.id', 'pockets.module_list_id', 'lists.edition']);
        if ($pouch === null) {
            return false;
        }
        DB::table('pockets')->where('id', $pouch->id)->update(['module_list_id' => $edition->id]);
        DB::table('line_homes')->where('design_id', $design->id)->where('pocket_id', $pouch->id)->delete();
        $position = (int) $design->homes()->max('position');
        foreach ($edition->lines()->get() as $line) {
            $design->homes()->create(['line_id' => $line->id, 'pocket_id' => $pouch->id, 'position' => ++$position]);
        }
        $kits = Kit::query()
            ->where('design_id', $design->id)
            ->where('retired_on', null)
            ->whereHas('modules', fn ($modules) => $modules->where('list_id', $pouch->module_list_id))
            ->with('place')
            ->orderBy('id')
            ->lockForUpdate()
            ->get();
        foreach ($kits as $kit) {
            $kit->modules()->where('list_id', $pouch->module_list_id)->update(['list_id' => $edition->id]);
        }
        $this->plans->forget();
        $this->record($kits, $pouch->module_list_id, $pouch->edition, $edition, $by, $at);

        return true;
    }

    /** @param  Collection<int, Kit>  $kits  that follow */
    private function record(Collection $kits, string $listBefore, string $editionBefore, KitList $edition, User $by, CarbonInterface $at): void
    {
        if ($kits->isEmpty()) {
            return;
        }
        $changes = $kits->map(
            static fn (Kit $kit): KitChanged => new KitChanged(
                $kit->id,
                'edition',
                $listBefore,
                $edition->id,
                "{$edition->title}, edition {$editionBefore}",
                "{$edition->title}, edition {$edition->edition}",
            ),
        );
        $operation = Operation::now(Str::lower((string) Str::ulid()), OperationKind::Change, $by, $at, $this->organisation->dayOf($at));
        $this->record->write($operation->of(array_values($kits->all()))->with([], array_values($changes->all())));
        $this->states->mark(array_values($kits->pluck('id')->all()));
    }
}
