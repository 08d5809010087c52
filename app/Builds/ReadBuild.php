<?php

declare(strict_types=1);

namespace App\Builds;

use App\Accounts\Models\User;
use App\Builds\Http\BuildItem;
use App\Builds\Http\BuildPiece;
use App\Builds\Http\BuildPlan;
use App\Builds\Http\BuildShare;
use App\Catalogue\Catalogue;
use App\Judging\ContentRow;
use App\Judging\Judged;
use App\Judging\KitJudge;
use App\Judging\PlanShare;
use App\Kits\Http\BaseResource;
use App\Kits\Models\Kit;
use App\Kits\ShownUnder;
use App\Ledger\Head;
use App\Ledger\PieceCondition;
use App\Stock\DescribeRestock;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Stock\PlannedOut;
use App\Stock\PlanRestock;
use App\Stock\RestockPlan;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Packing\Compartment;
use Sarcina\Core\Packing\Packing;
use Sarcina\Core\Packing\PackingOrder;
use Sarcina\Core\Packing\Weighing;
use Sarcina\Core\Packing\Wrappers;
use stdClass;

/**
 * How a kit is repacked: what lies in it and belongs there goes back where its line lives, what should leave does not, and what is
 * missing comes from the store. Modules in it stay whole: each is packed by itself.
 */
final class ReadBuild
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly PlanRestock $restock,
        private readonly DescribeRestock $describe,
        private readonly NearestStore $nearest,
        private readonly Catalogue $catalogue,
    ) {
    }

    /** @return BuildPlan|null null where there is no store to pack it from */
    public function __invoke(Kit $kit, ?string $storeId, string $today, User $by): ?BuildPlan
    {
        // Read before the contents: what is recorded in between counts as not seen.
        $base = BaseResource::of(Head::read()->base());
        $stores = Store::query()->where('retired_on', null)->orderBy('id')->get();
        $store = $storeId === null ? $this->nearest->among($kit, $stores) : $stores->firstWhere('id', strtolower($storeId));
        if ($store === null) {
            return null;
        }
        $judged = $this->judge->judge($kit, $today);
        $plan = self::own(($this->restock)($judged, $store));
        $restock = ($this->describe)($judged, $plan, $store, $stores, $base, $by);
        $items = [];
        $inBag = 0;
        foreach ($judged->rows as $row) {
            if (self::isOwn($row)) {
                $items[$row->itemCode] = true;
            }
        }
        foreach ([...$restock->in, ...$restock->shelf] as $row) {
            $items[$row->item] = true;
        }
        $masses = $this->catalogue->items(array_map(strval(...), array_keys($items)));
        foreach ($judged->rows as $row) {
            $inBag += self::isOwn($row) ? $row->quantity * $masses[$row->itemCode]->mass : 0;
        }

        return new BuildPlan(
            $this->order($kit), $this->pieces($judged, $plan), $restock, $this->items($kit, array_keys($masses)),
            $judged->judgement->mass - $inBag, $judged->plan->maxMass,
            $judged->plan->isEmptyMassKnown ? Weighing::ASK_OVER : null,
        );
    }

    /** What is done in its own pockets: modules are restocked by themselves. */
    private static function own(RestockPlan $plan): RestockPlan
    {
        $isOwn = static fn ($step): bool => ! str_contains((string) $step->pocketId, '.');

        return new RestockPlan(
            array_values(array_filter($plan->steps, $isOwn)), array_values(array_filter($plan->stays, $isOwn)), $plan->notAdvised, $plan->missing,
            $plan->shelf,
        );
    }

    private static function isOwn(ContentRow $row): bool
    {
        return ! str_contains($row->pocketId, '.');
    }

    /** @return list<string> */
    private function order(Kit $kit): array
    {
        $rows = DB::table('compartments')->where('design_edition_id', $kit->design_edition_id)
            ->orderBy('position')->orderBy('row')->orderBy('column')->get(['pocket_id', 'parent_id', 'kind', 'closure', 'properties']);
        $packing = new Packing(array_values($rows->map(static fn (stdClass $row): Compartment => new Compartment(
            $row->pocket_id, $row->parent_id, $row->closure !== null,
        ))->all()), []);
        $first = $rows->filter(static fn (stdClass $row): bool => in_array('take_first', explode(',', $row->properties), true));
        // Slots hold modules, leaves hold pockets: neither is packed piece by piece.
        $pockets = $rows->whereIn('kind', ['pocket', 'pouch'])->pluck('pocket_id')->all();

        return PackingOrder::of($packing, array_values($pockets), array_values($first->pluck('pocket_id')->all()));
    }

    /** @return list<BuildPiece> */
    private function pieces(Judged $judged, RestockPlan $plan): array
    {
        $leaving = [];
        foreach ($plan->out() as $out) {
            $leaving[$out->row] = [($leaving[$out->row][0] ?? 0) + $out->quantity, $out];
        }
        $lines = new ShownUnder($judged);
        $given = [];
        $pieces = [];
        foreach ($judged->rows as $index => $row) {
            if (! self::isOwn($row)) {
                continue;
            }
            [$leaves, $why] = $leaving[$index] ?? [0, null];
            $back = $this->back($judged, $row, $row->quantity - $leaves, $lines->line($index), $given);
            $pieces[] = $this->piece($row, $back, $why);
        }

        return $pieces;
    }

    /**
     * Where so many pieces go back: where their line lives, of one that is split as many into each pocket as belong there.
     *
     * @param  array<string, array<string, int>>  $given  pieces by line and pocket that go back already
     * @return array<string, int> by pocket
     */
    private function back(Judged $judged, ContentRow $row, int $pieces, ?string $code, array &$given): array
    {
        $line = $code === null || str_contains($code, '.') ? null : $judged->plan->line($code);
        $home = $line->pocketId ?? $row->pocketId;
        if (! isset($judged->plan->pockets[$home])) {
            $home = (string) array_key_first($judged->plan->pockets);
        }
        $back = [];
        foreach ($line->shares ?? [] as $share) {
            /** @var PlanShare $share */
            $here = min($pieces, max(0, $share->quantity - ($given[$code ?? ''][$share->pocketId] ?? 0)));
            if ($here > 0) {
                $back[$share->pocketId] = $here;
                $given[$code ?? ''][$share->pocketId] = ($given[$code ?? ''][$share->pocketId] ?? 0) + $here;
                $pieces -= $here;
            }
        }
        if ($pieces > 0) {
            $back[$home] = ($back[$home] ?? 0) + $pieces;
        }

        return $back;
    }

    /** @param  array<string, int>  $back */
    private function piece(ContentRow $row, array $back, ?PlannedOut $why): BuildPiece
    {
        $item = $this->catalogue->item($row->itemCode);
        $condition = PieceCondition::of($row->condition);

        return new BuildPiece(
            $row->pocketId, (string) $row->lotId, $row->itemCode, $item->name ?? $row->itemCode, $item->class ?? '', $item?->caution, $row->lot,
            $row->expires, $row->expires === null ? null : (string) PrintedDate::of($row->expires)->lastGoodDay,
            $condition->condition->value, $condition->openedOn, $row->quantity,
            array_map(
                static fn (string $pocket, int $pieces): BuildShare => new BuildShare($pocket, $pieces), array_keys($back), array_values($back),
            ),
            $why === null ? ($condition->condition->value === 'good' ? 'store' : 'discard') : ($why->toStore ? 'store' : 'discard'),
            $why?->because->value,
        );
    }

    /**
     * @param  list<string>  $codes
     * @return list<BuildItem> a design that leaves wrappers on asks for none to come off
     */
    private function items(Kit $kit, array $codes): array
    {
        $staysOn = $kit->edition->wrappers === Wrappers::On;

        return array_values(DB::table('items')->whereIn('code', $codes)->orderBy('code')->get(['code', 'mass_g', 'staging', 'unwraps'])
            ->map(static fn (stdClass $row): BuildItem => new BuildItem(
                $row->code, (int) $row->mass_g, $staysOn && $row->unwraps ? null : $row->staging,
            ))->all());
    }
}
