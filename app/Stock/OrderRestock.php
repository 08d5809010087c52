<?php

declare(strict_types=1);

namespace App\Stock;

use App\Catalogue\Catalogue;
use App\Judging\ContentRow;
use App\Judging\Judged;
use App\Judging\KitJudge;
use Sarcina\Core\Advice\Move;
use Sarcina\Core\Advice\SafeOrder;
use Sarcina\Core\Advice\Standing;

/** Puts what is planned in an order in which the kit is never worse than it was, as the worst of those sees it who have it (SafeOrder). */
final class OrderRestock
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly Catalogue $catalogue,
    ) {
    }

    /**
     * @param  list<PlannedIn>  $in
     * @param  list<PlannedOut>  $out
     * @param  list<NotAdvised>  $notAdvised  of what was left out before
     * @param  list<Lacking>  $missing
     */
    public function __invoke(Judged $judged, array $in, array $out, array $notAdvised, array $missing): RestockPlan
    {
        $pockets = array_flip(array_map(strval(...), array_keys($judged->plan->pockets)));
        $planned = [...$in, ...$out];
        // Of what is equally pressing, what lies in one pocket is done together.
        $at = static fn (PlannedIn|PlannedOut $one): int => $pockets[(string) $one->pocketId] ?? 0;
        usort($planned, static fn (PlannedIn|PlannedOut $one, PlannedIn|PlannedOut $other): int => $at($one) <=> $at($other));
        $needed = [];
        foreach ($this->catalogue->items(array_map(static fn (PlannedIn $one): string => $one->item, $in)) as $item) {
            foreach ($item->needs as $need) {
                $needed += array_fill_keys($need->anyOf, true);
            }
        }
        $moves = array_map(static fn (PlannedIn|PlannedOut $one): Move => $one instanceof PlannedIn
            ? Move::in($one->quantity, $one->rank, isset($needed[$one->item]), $at($one))
            : Move::out($one->quantity, $at($one)), $planned);
        $order = SafeOrder::of($moves, function (array $done) use ($judged, $planned): Standing {
            [$verdict, $judgement] = $this->judge->standingWith($judged, self::after($judged, $planned, $done));

            return Standing::of($judgement, $verdict);
        });
        $stays = [];
        foreach ($order->held as [$place, $pieces, $because]) {
            $one = $planned[$place];
            if ($one instanceof PlannedOut) {
                $stays[] = $one->of($pieces);
            } else {
                $notAdvised[] = new NotAdvised($one->of($pieces), $because);
            }
        }

        return new RestockPlan(
            array_map(static fn (array $step): PlannedIn|PlannedOut => $planned[$step[0]]->of($step[1]), $order->steps),
            $stays, $notAdvised, $missing,
        );
    }

    /**
     * What is in the kit after so many pieces of each.
     *
     * @param  list<PlannedIn|PlannedOut>  $planned
     * @param  array<int, int>  $done
     * @return list<ContentRow>
     */
    private static function after(Judged $judged, array $planned, array $done): array
    {
        $rows = $judged->rows;
        foreach ($done as $place => $pieces) {
            $one = $planned[$place];
            if ($one instanceof PlannedOut) {
                $rows[$one->row] = $rows[$one->row]->of($rows[$one->row]->quantity - $pieces);
            } else {
                $rows[] = new ContentRow(
                    $one->pocketId ?? (string) array_key_first($judged->plan->pockets), $one->item, $one->lotId, $one->lot, $one->expires, $pieces,
                    'good',
                );
            }
        }

        return array_values(array_filter($rows, static fn (ContentRow $row): bool => $row->quantity > 0));
    }
}
