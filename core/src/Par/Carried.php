<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigRational;

/** An item that is carried on a trip: how often it will be needed, what the list asks for, and how many pieces are enough (rules.md, par). */
final readonly class Carried
{
    private function __construct(
        public string $item,
        public BigRational $mean,
        public int $uses,
        public int $list,
        public int $par,
        public Source $from,
    ) {
    }

    /**
     * @param  BigRational  $confidence  with which the pieces are to be enough, above 0 and below 1
     * @param  BigRational  $rate  uses in 1,000 person-days
     * @param  int  $floor  pieces that are carried in any case
     * @param  ListedQuantity|null  $listed  what the list asks for; null where no list names the item
     */
    public static function of(
        string $item, BigRational $confidence, int $people, int $days, BigRational $rate, int $piecesPerUse, int $floor,
        ?ListedQuantity $listed = null,
    ): self {
        $mean = $rate->multipliedBy($people)->multipliedBy($days)->dividedBy(1000)->simplified();
        $uses = (new Poisson($mean))->quantile($confidence);
        $list = $listed?->scaledTo($people, $days) ?? 0;
        $par = max($floor, $list, $uses * $piecesPerUse);

        return new self($item, $mean, $uses, $list, $par, match ($par) {
            $uses * $piecesPerUse => Source::Uses,
            $list => Source::List,
            default => Source::Floor,
        });
    }
}
