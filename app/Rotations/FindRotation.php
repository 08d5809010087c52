<?php

declare(strict_types=1);

namespace App\Rotations;

use App\Catalogue\Catalogue;
use App\Catalogue\Prices;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Uses\UseRates;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Rotate\Held;
use Sarcina\Core\Rotate\Move;
use Sarcina\Core\Rotate\Rate;
use Sarcina\Core\Rotate\Rotation;
use Sarcina\Core\Rotate\Used;
use stdClass;

/**
 * What should move to where it will be used, by the `rotate` rule over all kits. What a critical line takes is not offered to it, nor what
 * lies in a kit that is closed by a seal, nor what would expire before the next check and margin of a kit that it could come to.
 */
final class FindRotation
{
    public function __construct(
        private readonly UseRates $rates,
        private readonly KitPlans $plans,
        private readonly Catalogue $catalogue,
        private readonly Prices $prices,
    ) {
    }

    /** Places are ids of kits, lots are ids of lots. */
    public function __invoke(string $today): Rotation
    {
        $asOf = Day::of($today);
        $kits = $this->kits();
        $used = $this->used($today, $kits);
        $codes = array_values(array_unique(array_map(static fn (Used $one): string => $one->item, $used)));
        $items = array_map(fn (string $code): array => [$code, $this->prices->byThePiece([$code => 1])[0]], $codes);
        $rows = $this->held($kits, $codes);
        $needed = self::neededUntil($kits, $asOf);
        $plan = Rotation::of($asOf, $items, self::offered($rows, $used, $needed, false), $used);
        $wrong = self::comesTooLate($plan, $needed);

        // An exchange that would leave a kit with what expires too early: of such an item less is offered, and that is safe for any kit.
        return $wrong === [] ? $plan : Rotation::of($asOf, $items, [
            ...array_values(array_filter(self::offered($rows, $used, $needed, false), static fn (Held $one): bool => ! isset($wrong[$one->item]))),
            ...array_values(array_filter(self::offered($rows, $used, $needed, true), static fn (Held $one): bool => isset($wrong[$one->item]))),
        ], $used);
    }

    /** @return array<string, stdClass> kits by themselves that are open, by id: each with the day of its next check and its margin */
    private function kits(): array
    {
        return DB::table('kits')->join('kit_states', 'kit_states.kit_id', '=', 'kits.id')
            ->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')
            ->whereNull('kits.retired_on')->whereNull('kits.parent_kit_id')->whereNull('kits.build_id')->where('kits.seal', '<>', 'intact')
            ->get(['kits.id', 'kit_states.next_check', 'design_editions.margin_days'])->keyBy('id')->all();
    }

    /**
     * @param  array<string, stdClass>  $kits
     * @return list<Used>
     */
    private function used(string $today, array $kits): array
    {
        $days = $this->rates->daysOnRecord($today);
        $used = [];
        foreach ($this->rates->ofKits($today) as $row) {
            if (isset($kits[$row->kit_id]) && $row->pieces > 0) {
                $used[] = new Used($row->kit_id, $row->code, Rate::of(BigRational::nd($row->pieces, $days)));
            }
        }

        return $used;
    }

    /**
     * @param  array<string, stdClass>  $kits
     * @param  list<string>  $codes
     * @return list<Held>
     */
    private function held(array $kits, array $codes): array
    {
        $critical = $this->critical(array_keys($kits), $codes);
        $rows = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereIn('items.code', $codes)->whereIn('holdings.kit_id', array_keys($kits))->where('holdings.condition', 'good')
            ->where('holdings.quantity', '>', 0)->orderBy('holdings.id')
            ->get(['holdings.kit_id', 'items.code', 'lots.id', 'lots.expires', 'holdings.quantity']);
        $held = [];
        foreach ($rows as $row) {
            if (! isset($critical["{$row->kit_id} {$row->code}"])) {
                $held[] = new Held(
                    $row->kit_id, $row->code, $row->id, $row->expires === null ? null : PrintedDate::of($row->expires), (int) $row->quantity,
                );
            }
        }

        return $held;
    }

    /**
     * @param  list<int|string>  $kitIds
     * @param  list<string>  $codes
     * @return array<string, true> kit and item, where a critical line of the kit takes the item
     */
    private function critical(array $kitIds, array $codes): array
    {
        $items = $this->catalogue->items($codes);
        $kits = Kit::query()->whereIn('id', $kitIds)->with('modules')->get();
        $this->plans->readAhead(array_values(array_unique($kits->pluck('design_edition_id')->all())));
        $taken = $critical = [];
        foreach ($kits as $kit) {
            $edition = "{$kit->design_edition_id} {$kit->configuration_id}";
            if (! isset($taken[$edition]) || $kit->modules->isNotEmpty()) {
                $lines = array_filter($this->plans->forKit($kit)->lines, static fn ($line): bool => $line->asked->rank === Rank::Critical);
                $taken[$edition] = array_filter($items, static function (Item $item) use ($lines): bool {
                    foreach ($lines as $line) {
                        if ($line->asked->entryFor($item) !== null) {
                            return true;
                        }
                    }

                    return false;
                });
            }
            foreach ($taken[$edition] as $item) {
                $critical["{$kit->id} {$item->code}"] = true;
            }
        }

        return $critical;
    }

    /**
     * @param  array<string, stdClass>  $kits
     * @return array<string, int> by kit: until which day, by its number, a piece must be good that comes to it
     */
    private static function neededUntil(array $kits, Day $asOf): array
    {
        // A check that is overdue is today's, whatever day it was when the kit was judged.
        return array_map(
            static fn (stdClass $kit): int => max(Day::of($kit->next_check)->number, $asOf->number) + (int) $kit->margin_days, $kits,
        );
    }

    /**
     * @param  list<Held>  $rows
     * @param  list<Used>  $used
     * @param  array<string, int>  $needed
     * @param  bool  $anywhere  whether a piece must be good enough for every kit that holds the item, or for those that use it
     * @return list<Held>
     */
    private static function offered(array $rows, array $used, array $needed, bool $anywhere): array
    {
        $least = [];
        foreach ($used as $one) {
            $least[$one->item] = max($least[$one->item] ?? 0, $needed[$one->place]);
        }
        foreach ($anywhere ? $rows : [] as $one) {
            $least[$one->item] = max($least[$one->item] ?? 0, $needed[$one->place]);
        }

        return array_values(array_filter(
            $rows, static fn (Held $one): bool => $one->expires === null || $one->expires->lastGoodDay->number >= ($least[$one->item] ?? 0),
        ));
    }

    /**
     * @param  array<string, int>  $needed
     * @return array<string, true> items of which a piece would come to a kit that needs it longer than it is good
     */
    private static function comesTooLate(Rotation $plan, array $needed): array
    {
        $wrong = [];
        foreach ($plan->items as $item) {
            $late = array_filter($item->moves, static fn (Move $move): bool => $move->expires !== null
                && $move->expires->lastGoodDay->number < $needed[$move->to]);
            if ($late !== []) {
                $wrong[$item->item] = true;
            }
        }

        return $wrong;
    }
}
