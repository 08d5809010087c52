<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Catalogue\Catalogue;
use App\Judging\Judged;
use App\Kits\Http\BaseResource;
use App\Ledger\PieceCondition;
use App\Stock\Http\MissingResource;
use App\Stock\Http\NotAdvisedResource;
use App\Stock\Http\PutResource;
use App\Stock\Http\RestockResource;
use App\Stock\Http\ShelfLot;
use App\Stock\Http\StayResource;
use App\Stock\Http\StoreRef;
use App\Stock\Http\TakeResource;
use App\Stock\Models\Store;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Packing\Wrappers;

/** A planned restock as the page shows it: each step with its number, and which steps are done before it. */
final class DescribeRestock
{
    /** More than that in one store are never looked through by hand. */
    private const SHELF = 400;

    public function __construct(private readonly Catalogue $catalogue, private readonly Organisation $organisation)
    {
    }

    /** @param  Collection<int, Store>  $stores */
    public function __invoke(Judged $judged, RestockPlan $plan, Store $store, Collection $stores, BaseResource $base, User $by): RestockResource
    {
        [$out, $in] = [[], []];
        $tasks = $this->tasks($judged, array_map(static fn (PlannedIn $row): string => $row->item, $plan->in()));
        foreach ($plan->steps as $at => $step) {
            if ($step instanceof PlannedOut) {
                $out[] = $this->take($at + 1, $step, self::before($plan->steps, $at, $step));
            } else {
                $in[] = $this->put($at + 1, $step, $tasks[$step->item] ?? null);
            }
        }

        return new RestockResource(
            $store->id, $store->name,
            array_map(static fn (Store $one): StoreRef => new StoreRef($one->id, $one->name), array_values($stores->sortBy('name')->all())),
            $base, (string) $judged->judgement->assignment->policy->goodUntil(), $out, $in,
            array_map(fn (PlannedOut $one): StayResource => $this->stay($judged, $one, $by), $plan->stays),
            array_map(fn (NotAdvised $one): NotAdvisedResource => new NotAdvisedResource(
                $one->put->need, $this->catalogue->name($one->put->item), $one->put->lot, $one->put->quantity, $one->because->value,
            ), $plan->notAdvised),
            self::missing($plan),
            $this->shelf($judged, $plan),
        );
    }

    /** @return list<MissingResource> */
    public static function missing(RestockPlan $plan): array
    {
        return array_map(
            static fn (Lacking $row): MissingResource => new MissingResource($row->line, $row->item, $row->what, $row->quantity), $plan->missing,
        );
    }

    /**
     * What replaces pieces that still count goes in before they leave.
     *
     * @param  list<PlannedIn|PlannedOut>  $steps
     * @return list<int>
     */
    private static function before(array $steps, int $at, PlannedOut $out): array
    {
        $before = [];
        foreach (array_slice($steps, 0, $at) as $place => $step) {
            if ($step instanceof PlannedIn && $out->line !== null && ($step->line === $out->line || $step->item === $out->item)) {
                $before[] = $place + 1;
            }
        }

        return $before;
    }

    /** @param  list<int>  $after */
    private function take(int $step, PlannedOut $row, array $after): TakeResource
    {
        $condition = PieceCondition::of($row->condition);

        return new TakeResource(
            $step, $after, $row->pocketId, $row->item, $this->catalogue->name($row->item), $this->catalogue->item($row->item)?->caution,
            $row->lotId, $row->lot, $row->expires, self::goodUntil($row->expires), $condition->condition->value, $condition->openedOn,
            $row->quantity, $row->because->value, $row->toStore ? 'store' : 'discard', $this->catalogue->item($row->item)?->class,
        );
    }

    /**
     * @param  list<string>  $codes
     * @return array<string, string> what is done to items before they go in, by code; none where the organisation does not ask for it
     */
    private function tasks(Judged $judged, array $codes): array
    {
        if (! $this->organisation->asks_staging || $codes === []) {
            return [];
        }
        $staysOn = $judged->kit->edition->wrappers === Wrappers::On;

        return DB::table('items')->whereIn('code', $codes)->whereNotNull('staging')
            ->when($staysOn, static fn ($items) => $items->where('unwraps', false))->pluck('staging', 'code')->all();
    }

    private function put(int $step, PlannedIn $row, ?string $task): PutResource
    {
        return new PutResource(
            $step, $row->line, $row->need, $row->pocketId, $row->item, $this->catalogue->name($row->item),
            $this->catalogue->item($row->item)?->caution,
            $row->lotId, $row->lot, $row->expires, self::goodUntil($row->expires), $row->quantity, $row->shortDated, $row->standsIn,
            $row->accepts, $this->catalogue->item($row->item)?->class, $task,
        );
    }

    /** @return list<ShelfLot> what a line accepts first, then the rest by name */
    private function shelf(Judged $judged, RestockPlan $plan): array
    {
        $today = $judged->atBest()->assignment->asOf;
        $accepted = array_fill_keys(array_merge(...array_map(static fn (PlannedIn $row): array => $row->accepts, $plan->in())), true);
        $codes = array_values(array_unique(array_map(static fn (OnShelf $row): string => $row->lot->item, $plan->shelf)));
        $this->catalogue->items($codes);
        $tasks = $this->tasks($judged, $codes);
        $lots = [];
        foreach ($plan->shelf as $row) {
            $lot = $row->lot;
            $last = $lot->expires?->lastGoodDay;
            if ($last === null || ! $last->isBefore($today)) {
                $lots[] = new ShelfLot(
                    $lot->item, $this->catalogue->name($lot->item), $this->catalogue->item($lot->item)?->caution, $row->lotId, $lot->lot,
                    $lot->expires?->text, self::goodUntil($lot->expires?->text), $lot->quantity, $this->catalogue->item($lot->item)?->class,
                    $tasks[$lot->item] ?? null,
                );
            }
        }
        usort($lots, static fn (ShelfLot $one, ShelfLot $other): int => [! isset($accepted[$one->item]), $one->name, $one->good_until ?? '9999']
            <=> [! isset($accepted[$other->item]), $other->name, $other->good_until ?? '9999']);

        return array_slice($lots, 0, self::SHELF);
    }

    private function stay(Judged $judged, PlannedOut $row, User $by): StayResource
    {
        return new StayResource(
            $row->pocketId, $this->catalogue->name($row->item), $row->lot, $row->quantity, $row->because->value, $by->name,
            $row->replaceBy($judged),
        );
    }

    private static function goodUntil(?string $expires): ?string
    {
        return $expires === null ? null : (string) PrintedDate::of($expires)->lastGoodDay;
    }
}
