<?php

declare(strict_types=1);

namespace App\Stock;

use App\Catalogue\Catalogue;
use App\Judging\Judged;
use App\Judging\KitJudge;
use App\Kits\Models\Kit;
use App\Stock\Http\PickedKit;
use App\Stock\Http\PickedLot;
use App\Stock\Http\PickedRow;
use App\Stock\Http\PickList;
use App\Stock\Models\Store;
use Sarcina\Core\Calendar\PrintedDate;

/** One list to take to the store for several kits, with what is most needed picked first. */
final class ReadPickList
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly SharedPicks $shared,
        private readonly Catalogue $catalogue,
    ) {
    }

    /** @param  list<Kit>  $kits  in the order in which they are walked to */
    public function __invoke(array $kits, Store $store, string $today): PickList
    {
        $judged = array_map(fn (Kit $kit): Judged => $this->judge->judge($kit, $today), $kits);
        $plans = $this->shared->among($judged, $store);

        return $this->described($kits, $judged, $plans, $store);
    }

    /**
     * @param  list<Kit>  $kits
     * @param  list<Judged>  $all
     * @param  list<RestockPlan>  $plans
     */
    public function described(array $kits, array $all, array $plans, Store $store): PickList
    {
        $promised = $rows = $read = [];
        foreach ($kits as $at => $kit) {
            [$judged, $plan] = [$all[$at], $plans[$at]];
            foreach ($plan->in() as $row) {
                $promised[$row->lotId] = ($promised[$row->lotId] ?? 0) + $row->quantity;
                $rows[$row->lotId] = $row;
            }
            $read[] = new PickedKit(
                $kit->code, $kit->name, $kit->place->name, (string) $judged->judgement->assignment->policy->goodUntil(),
                array_map(fn (PlannedIn|PlannedOut $step): PickedRow => $this->row($judged, $step), $plan->steps),
                DescribeRestock::missing($plan),
            );
        }
        $take = [];
        foreach ($rows as $lotId => $row) {
            $take[] = new PickedLot(
                $this->catalogue->name($row->item), $this->catalogue->item($row->item)?->caution, $row->lot, self::goodUntil($row->expires),
                $promised[$lotId],
            );
        }
        usort($take, static fn (PickedLot $one, PickedLot $other): int => [$one->name, $one->good_until ?? '9999', $one->lot]
            <=> [$other->name, $other->good_until ?? '9999', $other->lot]);

        return new PickList($store->id, $store->name, $store->place->name, $take, $read);
    }

    private function row(Judged $judged, PlannedIn|PlannedOut $step): PickedRow
    {
        $isOut = $step instanceof PlannedOut;

        return new PickedRow(
            $isOut ? 'out' : 'in', $judged->plan->pockets[(string) $step->pocketId]->name ?? null, $this->catalogue->name($step->item),
            $this->catalogue->item($step->item)?->caution, $step->lot, self::goodUntil($step->expires), $step->quantity,
            $isOut ? ($step->toStore ? 'store' : 'discard') : null,
        );
    }

    private static function goodUntil(?string $expires): ?string
    {
        return $expires === null ? null : (string) PrintedDate::of($expires)->lastGoodDay;
    }
}
