<?php

declare(strict_types=1);

namespace App\Catalogue;

use Illuminate\Support\Facades\DB;
use Sarcina\Core\Buying\Pack;
use Sarcina\Core\Buying\Packs;

/** What items cost, from the packs that have a price on record. Money is whole minor units. */
final class Prices
{
    /** @var array<string, list<Pack>>|null by item code */
    private ?array $packs = null;

    /** @return list<Pack> */
    public function packs(string $item): array
    {
        return $this->read()[$item] ?? [];
    }

    /**
     * What pieces come to at the price per piece of the cheapest pack; items without a price are counted, not passed over in silence.
     *
     * @param  array<string, int>  $pieces  by item code
     * @return array{int, int} the sum, and how many of the items have no price
     */
    public function byThePiece(array $pieces): array
    {
        $without = count(array_filter(array_keys($pieces), fn (string|int $item): bool => $this->packs((string) $item) === []));

        return [
            Packs::byThePiece(
                array_map(
                    fn (string|int $item, int $count): array => [$count, $this->packs((string) $item)],
                    array_keys($pieces),
                    array_values($pieces),
                ),
            ),
            $without,
        ];
    }

    /** The least that whole packs come to which hold so many pieces; null where nothing has a price. */
    public function wholePacks(string $item, int $pieces): ?int
    {
        return $this->packs($item) === [] ? null : Packs::leastFor($pieces, $this->packs($item));
    }

    /** @return array<string, list<Pack>> */
    private function read(): array
    {
        if ($this->packs === null) {
            $this->packs = [];
            foreach (
                DB::table('item_packs')
                    ->join('items', 'items.id', '=', 'item_packs.item_id')
                    ->whereNotNull('item_packs.price')
                    ->orderBy('pieces')
                    ->get(['items.code', 'item_packs.pieces', 'item_packs.price']) as $pack
            ) {
                $this->packs[$pack->code][] = new Pack((int) $pack->pieces, (int) $pack->price);
            }
        }

        return $this->packs;
    }
}
