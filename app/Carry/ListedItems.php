<?php

declare(strict_types=1);

namespace App\Carry;

use App\Catalogue\Catalogue;
use App\Lists\ListLoader;
use App\Lists\Models\KitList;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Par\ListedQuantity;
use Sarcina\Core\Par\Per;

/** Every line of a list with the item that is carried for it and how many pieces the list asks for. */
final class ListedItems
{
    public function __construct(private readonly ListLoader $lists, private readonly Catalogue $catalogue)
    {
    }

    /** @return list<ListedItem> in the order of the list */
    public function of(KitList $list): array
    {
        $asked = ListLoader::asked($list);
        $outfit = [];
        foreach ($this->lists->outfitByLine($asked)[0] as [$line, $item, $pieces]) {
            $outfit[$line->id] = [$item, $pieces];
        }
        // A list that does not say for whom it is made is carried as it is.
        $madeFor = $list->madeFor();
        $items = [];
        foreach ($list->lines as $line) {
            [$code, $pieces] = $outfit[$line->code] ?? [null, null];
            $items[] = new ListedItem(
                $line->code, $line->need, $line->rank, $this->item($code),
                new ListedQuantity(
                    $pieces ?? $line->quantity ?? 1, $madeFor === null ? Per::Trip : Per::from($line->per),
                    $madeFor['people'] ?? 1, $madeFor['days'] ?? 1, $line->rank === Rank::Critical,
                ),
                $pieces === null && $line->quantity === null ? $line->total_quantity : null,
            );
        }

        return $items;
    }

    /** @return array{code: string, name: string, class: string, unit: string}|null */
    private function item(?string $code): ?array
    {
        $item = $code === null ? null : $this->catalogue->item($code);

        return $item === null ? null : ['code' => $item->code, 'name' => $item->name, 'class' => $item->class, 'unit' => $item->count_unit];
    }
}
