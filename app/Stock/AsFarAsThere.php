<?php

declare(strict_types=1);

namespace App\Stock;

use App\Checks\UnsettledRow;
use App\Ledger\Holdings;
use App\Ledger\LotMovement;
use App\Ledger\Names;

/** What of something that arrived late the pieces are there for, and what of it somebody must settle. */
final class AsFarAsThere
{
    public function __construct(private readonly Holdings $holdings)
    {
    }

    /**
     * @param  list<LotMovement>  $movements
     * @param  bool  $isLate  else only what others took from the store since counts as a reason
     * @return array{list<LotMovement>, list<UnsettledRow>}
     */
    public function __invoke(array $movements, bool $isLate): array
    {
        $names = new Names;
        $names->read($movements);
        $there = [];
        $possible = [];
        $rest = [];
        foreach ($movements as $movement) {
            $from = $movement->from;
            if ($from === null || $from->isUnaccounted() || ! $isLate && $from->storeId === null) {
                $possible[] = $movement;

                continue;
            }
            $key = "{$from->whereabouts()} {$movement->lotId} {$from->condition}";
            $there[$key] ??= $this->holdings->of($from, $movement->lotId);
            $quantity = min($movement->quantity, $there[$key]);
            $there[$key] -= $quantity;
            if ($quantity > 0) {
                $possible[] = new LotMovement($movement->lotId, $quantity, $from, $movement->to, $movement->reason);
            }
            if ($quantity < $movement->quantity) {
                $lot = $names->lot($movement->lotId);
                $rest[] = new UnsettledRow(
                    'not_there', $lot->itemName, $lot->number, $names->pocket($from->pocketId ?? $movement->to?->pocketId), $movement->quantity,
                    $quantity,
                );
            }
        }

        return [$possible, $rest];
    }
}
