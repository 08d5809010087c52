<?php

declare(strict_types=1);

namespace App\Stock;

use App\Catalogue\Catalogue;
use App\Judging\Judged;
use App\Lists\ListLoader;
use App\Stock\Models\Store;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Advice\HeldBack;
use Sarcina\Core\Advice\Leaving;
use Sarcina\Core\Advice\Renewal;
use Sarcina\Core\Advice\Wanted;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Pick\Need;
use Sarcina\Core\Pick\PickList;
use Sarcina\Core\Pick\StoredLot;

/**
 * What to take out of a kit and what to put in from a store, and in which pocket: what the core asks for,
 * by the `pick` rule. Where the store does not have the first choice, the line's next choices stand in.
 */
final class PlanRestock
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly OrderRestock $order,
        private readonly ListLoader $lists,
        private readonly GoodStock $stock,
    ) {
    }

    public function __invoke(Judged $judged, Store $store): RestockPlan
    {
        $stock = $this->stock->of($store, $judged->kit->id);
        [$puts, $missing] = $this->choose($judged, $stock, [], null, []);

        return $this->complete($judged, $stock, $puts, $missing);
    }

    /**
     * What is picked for those of its needs that are of one rank; of a companion that no line names, as of a required line.
     *
     * @param  list<OnShelf>  $stock  of the store
     * @param  array<string, int>  $promised  pieces of lots that are picked already, for this kit or for others
     * @param  Rank|null  $only  null: of any
     * @param  list<PlannedIn>  $puts  that were picked for it before
     * @return array{list<PlannedIn>, list<Lacking>} those and what is picked now, and what the store does not have
     */
    public function choose(Judged $judged, array $stock, array $promised, ?Rank $only, array $puts): array
    {
        $advice = $judged->advice();
        [$absent, $missing] = self::absent($judged);
        $missing = $only === null || $only === Rank::Critical ? $missing : [];
        $left = array_map(static fn (OnShelf $row): int => max(0, $row->lot->quantity - ($promised[$row->lotId] ?? 0)), $stock);
        $wanted = $advice->wanted();
        $firsts = array_map(fn (Wanted $want): ?string => $this->first($judged, $want), $wanted);
        foreach ($wanted as $at => $want) {
            $isOther = $only !== null && $only !== ($want->line->rank ?? Rank::Required);
            if ($isOther || $want->line !== null && isset($absent[$want->line->id])) {
                continue;
            }
            $pieces = $want->pieces;
            // What is the first choice of another line is left to that one, where something else serves here as well.
            $choices = $this->choices($judged, $want, $firsts[$at], array_flip(array_filter(array_diff_key($firsts, [$at => 0]))), $stock);
            foreach ($choices as $code) {
                if ($pieces <= 0) {
                    break;
                }
                // Pieces of another choice stand for as many of the first: one serves the line as well as one.
                $pieces = $this->pick($judged, $want, $choices, $code, $pieces, $stock, $left, $puts);
            }
            if ($pieces > 0) {
                $missing[] = new Lacking(
                    $want->line?->id, $want->item, $want->item === null ? $this->need($judged, $want) : $this->catalogue->name($want->item), $pieces,
                );
            }
        }

        return [$puts, $missing];
    }

    /**
     * What is done with what was picked, in the order in which the kit is never worse than it was.
     *
     * @param  list<OnShelf>  $stock
     * @param  list<PlannedIn>  $puts
     * @param  list<Lacking>  $missing
     */
    public function complete(Judged $judged, array $stock, array $puts, array $missing): RestockPlan
    {
        [$puts, $notAdvised] = self::worthwhile($judged, $puts);

        return ($this->order)($judged, $puts, self::takeOut($judged, $judged->advice()), $notAdvised, $missing)->from($stock);
    }

    /**
     * A module that is not there is put in whole: nothing is picked for it piece by piece.
     *
     * @return array{array<string, true>, list<Lacking>} its lines, and itself
     */
    private static function absent(Judged $judged): array
    {
        $lines = [];
        $lacking = [];
        foreach ($judged->plan->parts as $part) {
            if ($part->kit === null) {
                $lacking[] = new Lacking(null, null, "The module {$part->plan->name}, for its slot", 1);
                foreach ($part->plan->lines as $line) {
                    $lines["{$part->prefix}.{$line->code()}"] = true;
                }
            }
        }

        return [$lines, $lacking];
    }

    private function need(Judged $judged, Wanted $want): string
    {
        return $want->companion === null
            ? $judged->plan->line((string) $want->line?->id)->need
            : 'Beside '.implode(', ', array_map($this->catalogue->name(...), $want->companion->for));
    }

    private function pocket(Judged $judged, Wanted $want): ?string
    {
        return $want->companion === null
            ? $judged->plan->line((string) $want->line?->id)->pocketId
            : $this->pocketOf($judged, $want->companion->for[0]);
    }

    private function pocketOf(Judged $judged, string $item): ?string
    {
        foreach ($judged->rows as $row) {
            if ($row->itemCode === $item) {
                return $row->pocketId;
            }
        }

        return array_key_first($judged->plan->pockets);
    }

    /** What the core names for it; for a line that names a class alone, what suits it best. */
    private function first(Judged $judged, Wanted $want): ?string
    {
        return $want->item ?? ($want->line === null || $want->line->total !== null ? null : $this->lists->itemOn($judged->atBest(), $want->line));
    }

    /**
     * Item codes that serve the want, best first: what the core named, then what else the line accepts of what the store has.
     *
     * @param  array<string, int>  $ofOthers  items that are the first choice of other lines
     * @param  list<OnShelf>  $stock
     * @return list<string>
     */
    private function choices(Judged $judged, Wanted $want, ?string $best, array $ofOthers, array $stock): array
    {
        $first = $best === null ? [] : [$best];
        if ($want->companion !== null) {
            return array_values(array_unique([...$first, ...$want->companion->anyOf]));
        }
        if ($want->line === null || $want->line->total !== null) {
            // Other rolls have other lengths: only what the core counted with adds up.
            return $first;
        }
        $others = [];
        foreach (
            $this->catalogue->items(array_values(array_unique(array_map(static fn (OnShelf $row): string => $row->lot->item, $stock)))) as $item
        ) {
            $entry = $want->line->entryFor($item);
            if ($entry !== null && $item->supersededBy === null && $judged->atBest()->assignment->isUsableOn($item, $want->line)) {
                $others[$item->code] = [$entry, isset($ofOthers[$item->code])];
            }
        }
        asort($others);

        return array_values(array_unique([...$first, ...array_map(strval(...), array_keys($others))]));
    }

    /**
     * @param  list<string>  $choices  items that serve, best first
     * @param  list<OnShelf>  $stock
     * @param  array<int, int>  $left  pieces of each row of the stock that are not picked yet
     * @param  list<PlannedIn>  $puts
     * @return int how many are still wanted
     */
    private function pick(Judged $judged, Wanted $want, array $choices, string $code, int $pieces, array $stock, array &$left, array &$puts): int
    {
        $rows = array_keys(
            array_filter(
                $stock,
                static fn (OnShelf $row, int $index): bool => $row->lot->item === $code && $left[$index] > 0,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        $dated = (bool) ($this->catalogue->item($code)->dated ?? false);
        $list = PickList::of(
            $judged->atBest()->assignment->asOf,
            $judged->atBest()->assignment->policy->goodUntil(),
            [new Need($code, $pieces, $dated, ! $want->isCritical)],
            array_map(
                static fn (int $row): StoredLot => new StoredLot($code, $stock[$row]->lot->lot, $stock[$row]->lot->expires, $left[$row]),
                $rows,
            ),
        );
        foreach ($list->picks as $pick) {
            $row = $rows[$pick->row];
            $left[$row] -= $pick->quantity;
            $pieces -= $pick->quantity;
            foreach (IntoPockets::of($judged, $want, $this->pocket($judged, $want), $pick->quantity, $puts) as [$pocket, $quantity]) {
                $puts[] = new PlannedIn(
                    $want->line?->id, $want->line?->rank, $this->need($judged, $want), $pocket, $code,
                    $stock[$row]->lotId, $pick->from->lot,
                    $pick->from->expires?->text, $quantity, $pick->shortDated, $want->item !== null && $want->item !== $code, $choices,
                );
            }
        }

        return $pieces;
    }

    /**
     * Without what would be put in for a piece that expires early and expires no later than it.
     *
     * @param  list<PlannedIn>  $puts
     * @return array{list<PlannedIn>, list<NotAdvised>}
     */
    private static function worthwhile(Judged $judged, array $puts): array
    {
        $worth = [];
        $not = [];
        foreach ($judged->atBest()->lines as $outcome) {
            $own = array_values(array_filter($puts, static fn (PlannedIn $put): bool => $put->line === $outcome->line->id));
            if ($own === [] || ! is_int($outcome->short)) {
                array_push($worth, ...$own);

                continue;
            }
            $early = [];
            foreach ($outcome->placed as $placed) {
                $last = $judged->atBest()->assignment->contents[$placed->row]->lastGoodDay();
                if ($last !== null && ! $placed->reserve && $judged->atBest()->assignment->expiresEarly($placed->row)) {
                    array_push($early, ...array_fill(0, $placed->quantity, $last->number));
                }
            }
            $day = static fn (?string $expires): ?int => $expires === null ? null : PrintedDate::of($expires)->lastGoodDay->number;
            $pieces = Renewal::of(
                $outcome->short, $early, array_map(static fn (PlannedIn $put): array => [$day($put->expires), $put->quantity], $own),
            );
            foreach ($own as $place => $put) {
                if ($pieces[$place] > 0) {
                    $worth[] = $put->of($pieces[$place]);
                }
                if ($pieces[$place] < $put->quantity) {
                    $not[] = new NotAdvised($put->of($put->quantity - $pieces[$place]), HeldBack::ExpiresNoLater);
                }
            }
        }

        return [[...$worth, ...array_filter($puts, static fn (PlannedIn $put): bool => $put->line === null)], $not];
    }

    /** @return list<PlannedOut> */
    private static function takeOut(Judged $judged, Advice $advice): array
    {
        $lines = [];
        foreach ($judged->atBest()->lines as $outcome) {
            foreach ($outcome->placed as $placed) {
                $lines[$placed->row] ??= $outcome->line->id;
            }
        }

        return array_map(static function (Leaving $leaving) use ($judged, $lines): PlannedOut {
            $held = $judged->rows[$leaving->index];

            return new PlannedOut(
                $leaving->index, $lines[$leaving->index] ?? null, $held->pocketId, $held->itemCode, (string) $held->lotId, $held->lot, $held->expires,
                $held->condition, $leaving->pieces, $leaving->because, $leaving->toStore,
            );
        }, [...$advice->leaving(), ...$advice->surplus()]);
    }
}
