<?php

declare(strict_types=1);

namespace App\Stock;

use App\Stock\Http\ProposedLevel;
use App\Stock\Models\Store;
use App\Uses\UseRates;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Par\Carried;
use stdClass;

/**
 * Levels that are proposed for a store by what was put from it into kits in the last year: the least is enough for the four weeks until an
 * order has come, the target for a quarter, each in nineteen of twenty cases (by the rule `par`).
 */
final class ReadProposedLevels
{
    private const LEAST_DAYS = 28;

    private const TARGET_DAYS = 91;

    public function __construct(private readonly UseRates $rates)
    {
    }

    /** @return list<ProposedLevel> those that differ from what is set, by name */
    public function __invoke(Store $store, string $today): array
    {
        $days = $this->rates->daysOnRecord($today);
        $from = (string) Day::of($today)->plusDays(-UseRates::DAYS);
        $used = DB::table('movements')->join('operations', 'operations.number', '=', 'movements.operation_number')
            ->join('items', 'items.code', '=', 'movements.item_code')
            ->where('movements.from_store_id', $store->id)->where('operations.day', '>', $from)->where('movements.reason', 'restocked')
            ->groupBy('items.id', 'items.code', 'items.name')->orderBy('items.name')
            ->selectRaw('items.id, items.code, items.name, COUNT(DISTINCT operation_number) AS uses, SUM(movements.quantity) AS pieces')->get();
        $packs = DB::table('item_packs')->whereIn('item_id', $used->pluck('id')->all())->where('pieces', '>', 1)->groupBy('item_id')
            ->selectRaw('item_id, MIN(pieces) AS pieces')->pluck('pieces', 'item_id')->all();
        $set = DB::table('store_levels')->where('store_id', $store->id)->get()->keyBy('item_id');
        $proposed = $used->map(static function (stdClass $row) use ($days, $packs, $set): ProposedLevel {
            $each = intdiv((int) $row->pieces + (int) $row->uses - 1, (int) $row->uses);
            $enough = static fn (int $for): int => Carried::of(
                $row->code, BigRational::of('0.95'), 1, $for, BigRational::nd((int) $row->uses * 1000, $days), $each, $each,
            )->par;
            $pack = isset($packs[$row->id]) ? (int) $packs[$row->id] : null;
            $target = max($enough(self::TARGET_DAYS), $enough(self::LEAST_DAYS));
            $now = $set->get($row->id);

            return new ProposedLevel(
                $row->code, $row->name, $enough(self::LEAST_DAYS), $pack === null ? $target : $pack * intdiv($target + $pack - 1, $pack),
                (int) $row->uses, $pack, $now === null ? null : (int) $now->least, $now === null ? null : (int) $now->target,
            );
        });

        return array_values($proposed->filter(
            static fn (ProposedLevel $one): bool => [$one->least, $one->target] !== [$one->least_now, $one->target_now],
        )->all());
    }
}
