<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Assess\Models\ProvisionChoice;
use App\Catalogue\Models\Item;
use App\Lists\EntryContent;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;

/** Loads lists from their files: the starter lists, unconfirmed, and house lists. */
final class ListLoader
{
    /** @var array<string, string> item ids by code */
    private array $items;

    /** @param  list<string>|null  $only  codes of those to load; null: all. What is there already stays as it is */
    public function __construct(private readonly ?array $only = null)
    {
        $this->items = Item::query()->pluck('id', 'code')->all();
    }

    /** @return list<array{code: string, title: string, size: string|null, basis: string, kind: string, lines: int}> */
    public static function offered(): array
    {
        $offered = [];
        foreach (DemoFiles::json('reference/starter-lists.json')['lists'] as $list) {
            foreach ($list['sizes'] as $size) {
                $offered[] = [
                    'code' => "{$list['code']}/{$size['code']}", 'title' => $list['title'], 'size' => $size['code'], 'basis' => $list['basis'],
                    'kind' => 'starter', 'lines' => count($size['lines']),
                ];
            }
        }
        foreach (DemoFiles::json('reference/house-lists.json')['lists'] as $list) {
            $offered[] = [
                'code' => $list['code'], 'title' => $list['title'], 'size' => null, 'basis' => $list['basis'],
                'kind' => ($list['kind'] ?? 'kit') === 'module' ? 'module' : 'house', 'lines' => count($list['lines']),
            ];
        }

        return $offered;
    }

    /**
     * @param  list<string>|null  $codes  null: of all lists
     * @return list<string> codes of the items that these lists name
     */
    public static function itemsOf(?array $codes): array
    {
        $lines = [];
        foreach (DemoFiles::json('reference/starter-lists.json')['lists'] as $list) {
            foreach ($list['sizes'] as $size) {
                if ($codes === null || in_array("{$list['code']}/{$size['code']}", $codes, true)) {
                    array_push($lines, ...$size['lines']);
                }
            }
        }
        foreach (DemoFiles::json('reference/house-lists.json')['lists'] as $list) {
            if ($codes === null || in_array($list['code'], $codes, true)) {
                array_push($lines, ...$list['lines']);
            }
        }
        $items = [];
        foreach ($lines as $line) {
            foreach (self::entries($line) as $entry) {
                if (isset($entry['item'])) {
                    $items[$entry['item']] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($items));
    }

    public function starters(): void
    {
        foreach (DemoFiles::json('reference/starter-lists.json')['lists'] as $list) {
            foreach ($list['sizes'] as $size) {
                $this->load([
                    'code' => "{$list['code']}/{$size['code']}", 'title' => $list['title'], 'size' => $size['code'],
                    'edition' => preg_match('/(?<=[:-])\d{4}$/', $list['basis'], $year) === 1 ? $year[0] : 'current',
                    'basis' => $list['basis'], 'origin' => 'starter',
                ], $list['excludes'], $size['lines'], $size['made_for'] ?? null);
            }
        }
    }

    /** @param  list<string>  $files */
    public function house(array $files = ['reference/house-lists.json', 'demo/house-lists.json']): void
    {
        foreach ($files as $file) {
            foreach (DemoFiles::json($file)['lists'] as $list) {
                $this->load([
                    'code' => $list['code'], 'title' => $list['title'], 'size' => null, 'edition' => $list['edition'],
                    'basis' => $list['basis'], 'origin' => 'house', 'kind' => $list['kind'] ?? 'kit',
                ], $list['excludes'], $list['lines'], $list['made_for'] ?? null);
                $made = KitList::query()->where('code', $list['code'])->value('id');
                if (isset($list['serves']) && $made !== null) {
                    ProvisionChoice::query()->firstOrCreate(['wanted' => $list['serves']], ['list_id' => $made]);
                }
            }
        }
    }

    /**
     * A line of a demo file as the format of lists has it.
     *
     * @param  array<string, mixed>  $line
     * @return array<string, mixed>
     */
    public static function document(array $line): array
    {
        return [...array_intersect_key($line, array_flip(['need', 'rank', 'quantity', 'total', 'reason'])), 'accepts' => self::entries($line)];
    }

    /** @param  array<string, mixed>  $line */
    private function line(array $line, int $position, string $code, string $listId): Line
    {
        $made = Line::query()->create([
            'list_id' => $listId, 'code' => $code, 'position' => $position,
            'need' => $line['need'], 'rank' => $line['rank'] ?? 'required',
            'quantity' => $line['quantity'] ?? null,
            'total_measure' => isset($line['total']) ? array_key_first($line['total']) : null,
            'total_quantity' => isset($line['total']) ? array_values($line['total'])[0] : null,
            'reason' => $line['reason'] ?? null,
            'anyone_may_use' => $line['anyone_may_use'] ?? false,
            'per' => $line['per'] ?? 'trip',
        ]);
        foreach (self::entries($line) as $place => $entry) {
            $accepted = $made->entries()->create([
                'position' => $place,
                'item_id' => isset($entry['item']) ? $this->items[$entry['item']] : null,
                'class' => $entry['class'] ?? null,
            ]);
            $accepted->limits()->createMany(EntryContent::ofDocument($entry)->limits([]));
        }

        return $made;
    }

    /**
     * @param  array<string, string|null>  $about
     * @param  list<string>  $excludes
     * @param  list<array<string, mixed>>  $lines
     * @param  array{people: int, days: int}|null  $madeFor
     */
    private function load(array $about, array $excludes, array $lines, ?array $madeFor): void
    {
        if ($this->only !== null && ! in_array($about['code'], $this->only, true) || KitList::query()->where('code', $about['code'])->exists()) {
            return;
        }
        $list = KitList::query()->create([
            ...$about, 'made_for_people' => $madeFor['people'] ?? null, 'made_for_days' => $madeFor['days'] ?? null,
        ]);
        foreach ($excludes as $class) {
            $list->exclusions()->create(['class' => $class]);
        }
        foreach ($lines as $index => $line) {
            $this->line($line, $index, 'L'.($index + 1), $list->id);
        }
    }

    /**
     * @param  array<string, mixed>  $line
     * @return list<array<string, mixed>>
     */
    private static function entries(array $line): array
    {
        if (isset($line['accepts'])) {
            return $line['accepts'];
        }
        /** @var list<array<string, mixed>> $entries */
        $entries = array_map(static fn (string $item): array => ['item' => $item], $line['items'] ?? []);
        $entries[] = ['class' => $line['class'], ...array_intersect_key($line, ['min' => true, 'max' => true])];

        return $entries;
    }
}
