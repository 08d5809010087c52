<?php

declare(strict_types=1);

namespace App\Checks;

use App\Judging\ContentRow;
use App\Ledger\Location;
use App\Ledger\LotMovement;

/** What was counted otherwise than it is on record, as movements: within the kit where a piece only changed its pocket or condition. */
final class Corrections
{
    /**
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $after
     * @return list<LotMovement>
     */
    public static function of(string $kitId, array $before, array $after): array
    {
        /** @var array<string, list<array{Location, int}>> $less */
        $less = [];
        /** @var array<string, list<array{Location, int}>> $more */
        $more = [];
        foreach (self::differences($kitId, $before, $after) as [$lot, $location, $amount]) {
            if ($amount < 0) {
                $less[$lot][] = [$location, -$amount];
            } elseif ($amount > 0) {
                $more[$lot][] = [$location, $amount];
            }
        }
        $movements = [];
        foreach ($less as $lot => $sources) {
            foreach ($sources as [$from, $left]) {
                foreach ($more[$lot] ?? [] as $index => [$to, $wanted]) {
                    $quantity = min($left, $wanted);
                    if ($quantity > 0) {
                        $movements[] = new LotMovement((string) $lot, $quantity, $from, $to, 'counted');
                        $left -= $quantity;
                        $more[$lot][$index] = [$to, $wanted - $quantity];
                    }
                }
                if ($left > 0) {
                    $movements[] = new LotMovement((string) $lot, $left, $from, null, 'counted');
                }
            }
        }
        foreach ($more as $lot => $targets) {
            foreach ($targets as [$to, $wanted]) {
                if ($wanted > 0) {
                    $movements[] = new LotMovement((string) $lot, $wanted, null, $to, 'counted');
                }
            }
        }

        return $movements;
    }

    /**
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $after
     * @return array<string, array{string, Location, int}> lot, place and difference, by row
     */
    private static function differences(string $kitId, array $before, array $after): array
    {
        $differences = [];
        foreach ([[$before, -1], [$after, 1]] as [$rows, $sign]) {
            foreach ($rows as $row) {
                $differences[$row->key()] ??= [(string) $row->lotId, Location::pocket($kitId, $row->pocketId, $row->condition), 0];
                $differences[$row->key()][2] += $sign * $row->quantity;
            }
        }

        return $differences;
    }
}
