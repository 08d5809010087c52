<?php

declare(strict_types=1);

namespace Sarcina\Core\Buying;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** What pieces cost, from the packs in which they are sold. Money is whole minor units, exact. */
final class Packs
{
    /**
     * The least that whole packs come to which hold at least so many pieces.
     *
     * @param  list<Pack>  $packs
     * @return int|null null where nothing is sold
     */
    public static function leastFor(int $pieces, array $packs): ?int
    {
        if ($packs === []) {
            return $pieces === 0 ? 0 : null;
        }
        $cost = [0];
        for ($wanted = 1; $wanted <= $pieces; $wanted++) {
            $cost[$wanted] = min(array_map(static fn (Pack $pack): int => $cost[max(0, $wanted - $pack->pieces)] + $pack->price, $packs));
        }

        return $cost[$pieces];
    }

    /**
     * The price of one piece in the cheapest pack, exactly; null where nothing is sold.
     *
     * @param  list<Pack>  $packs
     */
    public static function cheapestPiece(array $packs): ?BigRational
    {
        $cheapest = null;
        foreach ($packs as $pack) {
            $each = BigRational::nd($pack->price, $pack->pieces);
            $cheapest = $cheapest === null || $each->isLessThan($cheapest) ? $each : $cheapest;
        }

        return $cheapest;
    }

    /**
     * What pieces come to at the price per piece of the cheapest pack, summed exactly and rounded half up once.
     *
     * @param  iterable<array{int, list<Pack>}>  $wanted  pieces and their packs; none is passed over
     */
    public static function byThePiece(iterable $wanted): int
    {
        $sum = BigRational::zero();
        foreach ($wanted as [$pieces, $packs]) {
            $cheapest = self::cheapestPiece($packs);
            $sum = $cheapest === null ? $sum : $sum->plus($cheapest->multipliedBy(BigInteger::of($pieces)));
        }

        return $sum->toScale(0, RoundingMode::HALF_UP)->toInt();
    }
}
