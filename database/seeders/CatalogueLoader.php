<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Catalogue\Classes;
use App\Catalogue\ItemWords;
use App\Catalogue\Models\Item;
use App\Catalogue\Models\ItemClass;
use Illuminate\Support\Facades\DB;

/** Loads the catalogue of generic items and its classes from their files. */
final class CatalogueLoader
{
    /**
     * @param  bool  $withPrices  the demo's own; nobody else pays them
     * @param  list<string>|null  $only  their codes, with which comes what they need; null: all. What is there already stays as it is
     */
    public function items(bool $withPrices, ?array $only = null): void
    {
        $rows = array_column(DemoFiles::named('items'), null, 'code');
        $wanted = $only === null ? $rows : self::withNeeds($rows, $only);
        $items = Item::query()->whereIn('code', array_keys($rows))->get()->keyBy('code')->all();
        $rows = array_diff_key($wanted, $items);
        foreach ($rows as $row) {
            $items[$row['code']] = $item = Item::query()->create([
                'code' => $row['code'], 'name' => $row['name'], 'class' => $row['class'],
                'count_unit' => $row['unit'], 'dated' => $row['dated'] === 'y', 'sterile' => $row['sterile'] === 'y',
                'mass_g' => (int) $row['mass_g'], 'scope' => $row['scope'],
                'keeps_as_reserve' => $row['reserve'] === 'y', 'only_for_trained' => $row['only_for_trained'] === 'y', 'purpose' => $row['purpose'],
                'caution' => $row['caution'] ?: null, 'allergy' => $row['allergy'] ?: null,
                ...self::storage($row['storage']), ...self::openedLife($row['opened']),
                'layer' => $row['layer'] ?: null, 'start_minutes' => $row['start_minutes'] === '' ? null : (int) $row['start_minutes'],
                'staging' => $row['staging'] ?: null, 'unwraps' => $row['unwraps'] === 'y', 'keep_dry' => $row['keep_dry'] === 'y', 'has_latex' => $row['latex'] === 'y',
                'bulk_ml' => $row['bulk_ml'] === '' ? null : (int) $row['bulk_ml'],
                'comes_back' => in_array($row['after_use'], ['back', 'back;trains'], true), 'trains_again' => str_ends_with($row['after_use'], 'trains'),
            ]);
            foreach (self::parts($row['measures'], ';') as $measure) {
                [$name, $quantity] = explode('=', $measure);
                $item->measures()->create(['measure' => $name, 'quantity' => $quantity]);
            }
            foreach (self::parts($row['packs'], ',') as $pack) {
                [$pieces, $price] = [...explode('@', $pack), null];
                $item->packs()->create(['pieces' => (int) $pieces, 'price' => $price === null || ! $withPrices ? null : (int) $price]);
            }
        }
        foreach ($rows as $row) {
            foreach (self::parts($row['never_for'], ';') as $class) {
                DB::table('item_never_for')->insert(['item_id' => $items[$row['code']]->id, 'class' => $class]);
            }
            foreach (self::parts($row['told_from'], ';') as $one) {
                [$other, $by] = [...explode(':', $one), ''];
                // Of a part of the catalogue: what it is taken for may not be there.
                if (isset($items[$other])) {
                    DB::table('item_told_from')->insert(['item_id' => $items[$row['code']]->id, 'other_id' => $items[$other]->id, 'by' => $by ?: null]);
                }
            }
            foreach (self::parts($row['names'], ';') as $one) {
                [$name, $region] = explode('@', $one);
                DB::table('item_names')->insert(['item_id' => $items[$row['code']]->id, 'name' => $name, 'region' => $region ?: null]);
            }
            foreach (self::parts($row['stand_ins'], ';') as $position => $standIn) {
                $items[$row['code']]->standIns()->attach($items[$standIn]->id, ['position' => $position]);
            }
            if ($row['superseded_by'] !== '') {
                $items[$row['code']]->update(['superseded_by_id' => $items[$row['superseded_by']]->id]);
            }
            foreach (self::parts($row['needs'], '/') as $need) {
                [$per, $quantity, $companions, $reason] = explode(':', $need);
                $made = $items[$row['code']]->needs()->create(['per' => $per, 'quantity' => (int) $quantity, 'reason' => $reason]);
                $made->companions()->attach(array_map(static fn (string $code): string => $items[$code]->id, explode(';', $companions)));
            }
        }
        ItemWords::index(array_values(array_map(static fn (Item $item): string => $item->id, $items)));
    }

    /**
     * @param  array<array-key, array<string, string>>  $rows  by code
     * @param  list<string>  $codes
     * @return array<array-key, array<string, string>>
     */
    private static function withNeeds(array $rows, array $codes): array
    {
        $wanted = [];
        while ($codes !== []) {
            $row = $rows[array_pop($codes)];
            if (! isset($wanted[$row['code']])) {
                $wanted[$row['code']] = $row;
                array_push($codes, ...self::parts($row['stand_ins'], ';'), ...array_filter([$row['superseded_by']]));
                foreach (self::parts($row['needs'], '/') as $need) {
                    array_push($codes, ...explode(';', explode(':', $need)[2]));
                }
            }
        }

        return array_intersect_key($rows, $wanted);
    }

    /** Every class that an item or a list names, and what lies above it. */
    public function classes(): void
    {
        foreach (DemoFiles::named('classes') as $row) {
            ItemClass::query()->firstOrCreate(['class' => $row['class']], $row);
        }
        (new Classes)->makeAll();
    }

    /** @return array{storage_min_c?: int, storage_max_c?: int} */
    private static function storage(string $range): array
    {
        return sscanf($range, '%d..%d', $least, $most) === 2 ? ['storage_min_c' => (int) $least, 'storage_max_c' => (int) $most] : [];
    }

    /** @return array{opened_life?: int, opened_life_unit?: string} */
    private static function openedLife(string $life): array
    {
        return sscanf($life, '%d %s', $count, $unit) === 2 ? ['opened_life' => (int) $count, 'opened_life_unit' => (string) $unit] : [];
    }

    /** @return list<string> */
    private static function parts(string $text, string $by): array
    {
        return $by === '' || $text === '' ? [] : explode($by, $text);
    }
}
