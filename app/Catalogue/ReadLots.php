<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Catalogue\Http\KnownLot;
use App\Catalogue\Models\Item;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The lots of an item that are on record, those first that are good longest. */
final class ReadLots
{
    /** More than anybody looks through: of an older one its number is typed. */
    private const SHOWN = 300;

    /** @return list<KnownLot> */
    public function __invoke(Item $item): array
    {
        return array_values(DB::table('lots')->where('item_id', $item->id)->orderByDesc('good_until')->orderBy('number')->limit(self::SHOWN)
            ->get(['number', 'expires'])->map(static fn (stdClass $lot): KnownLot => new KnownLot($lot->number, $lot->expires))->all());
    }
}
