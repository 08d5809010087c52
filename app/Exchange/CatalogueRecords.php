<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Catalogue\Catalogue;
use App\Catalogue\Classes;
use App\Catalogue\ItemHandling;
use App\Catalogue\KeptPastDate;
use App\Catalogue\Models\Item;
use App\Catalogue\Models\ItemMeasure;
use App\Catalogue\Models\ItemNeed;
use App\Catalogue\Models\ItemPack;
use App\Catalogue\NeverFor;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\KitReader;
use Sarcina\Core\Format\Problem;

/**
 * Items of the catalogue. Thousands at once are written in a few statements.
 *
 * @phpstan-import-type HandlingData from ItemHandling
 */
final class CatalogueRecords implements Records
{
    private const CHUNK = 500;

    /** @var array<string, array<string, mixed>>|null what is there, by code */
    private ?array $there = null;

    /** @var array<string, true> codes that the file or the catalogue holds */
    private array $named = [];

    public function __construct(
        private readonly Classes $classes,
        private readonly Catalogue $catalogue,
        private readonly KitPlans $plans,
        private readonly KitStates $states,
        private NeverFor $neverFor,
    ) {
    }

    public function all(): array
    {
        return array_values($this->there());
    }

    public function code(array $record): string
    {
        return is_string($record['code'] ?? null) ? $record['code'] : '';
    }

    public function begin(array $records): void
    {
        $written = [];
        foreach ($records as $record) {
            $written[$this->code($record)] = array_values(array_filter((array) ($record['never_for'] ?? []), is_string(...)));
        }
        $this->neverFor->forget();
        $this->neverFor = $this->neverFor->with($written);
        $this->named = array_fill_keys([...array_map($this->code(...), $records), ...array_map(strval(...), array_keys($this->there()))], true);
    }

    public function known(array $record): ?array
    {
        return $this->there()[$this->code($record)] ?? null;
    }

    public function whole(array $record): array
    {
        $record += [
            'size' => [], 'caution' => null, 'superseded_by' => null, 'storage' => null, 'opened_life' => null,
            'allergy' => null, 'packs' => [], 'needs' => [], 'stand_ins' => [], 'only_for_trained' => false, 'never_for' => [],
            'handling' => [],
        ];
        if (is_array($record['handling'])) {
            $record['handling'] += ItemHandling::NONE;
        }
        // Where it has to be said it stays unsaid, and is refused.
        $record += is_string($record['class'] ?? null) && KeptPastDate::needsSaying($record['class']) ? [] : ['reserve' => true];
        if (is_array($record['never_for'])) {
            sort($record['never_for']);
        }
        $record['size'] = (array) $record['size'];
        ksort($record['size']);
        if (is_array($record['packs'])) {
            usort($record['packs'], static fn (array $one, array $other): int => $one['pieces'] <=> $other['pieces']);
        }

        return $record;
    }

    public function problems(array $record, ?array $known): array
    {
        /**
         * @var array{
         *     code: string, class: string, dated: bool, mass_g: int, size: array<string, string>, scope: string,
         *     reserve?: bool, superseded_by: string|null, storage: array{min_c: int|null, max_c: int|null}|null,
         *     packs: list<array{pieces: int}>,
         *     needs: list<array{any_of: list<string>, per: string, quantity: int, reason: string}>,
         *     stand_ins: list<string>, never_for: list<string>, handling: HandlingData,
         * } $record
         */
        $problems = [];
        if (! array_key_exists('reserve', $record)) {
            return [
                'reserve: say true or false. An expired piece of this class may spoil or fail unseen, '.
                    'so it is not kept as reserve unless you say so.',
            ];
        }
        foreach ($this->neverFor->faultsOfItem($record['code'], $record['class'], $record['never_for'], $record['stand_ins']) as $field => $places) {
            foreach ($places as $index => $message) {
                $problems[] = "{$field} ".($index + 1).": {$message}";
            }
        }
        foreach ([
            ...array_filter([$record['superseded_by']]),
            ...array_merge([], ...array_column($record['needs'], 'any_of')), ...$record['stand_ins'],
            ...array_column($record['handling']['told_from'], 'item'),
        ] as $code) {
            if ($code === $record['code']) {
                $problems[] = 'An item cannot be its own companion, stand-in, successor or look-alike.';
            } elseif (! isset($this->named[$code])) {
                $problems[] = "There is no item \"{$code}\", neither in the catalogue nor in this file.";
            }
        }
        if (isset($record['storage']['min_c'], $record['storage']['max_c']) && $record['storage']['min_c'] > $record['storage']['max_c']) {
            $problems[] = 'storage: the highest temperature is below the lowest.';
        }
        if (count(array_unique(array_column($record['packs'], 'pieces'))) < count($record['packs'])) {
            $problems[] = 'packs: two have the same number of pieces.';
        }
        try {
            KitReader::items([[
                'code' => $record['code'], 'class' => $record['class'], 'dated' => $record['dated'],
                'mass_g' => $record['mass_g'], 'size' => (object) $record['size'], 'scope' => $record['scope'],
                'reserve' => $record['reserve'],
                'needs' => array_map(
                    static fn (array $need): array => array_diff_key($need, ['reason' => 0]),
                    $record['needs'],
                ), 'superseded_by' => $record['superseded_by'],
            ]]);
        } catch (InvalidDocument $refused) {
            array_push(
                $problems,
                ...array_map(static fn (Problem $problem): string => preg_replace('#^/items/0/#', '', $problem->path).": {$problem->message}",
                    $refused->problems),
            );
        }

        return $problems;
    }

    public function take(array $changes, User $by, callable $progress): void
    {
        $ids = DB::table('items')->pluck('id', 'code')->all();
        $rows = [];
        foreach ($changes as $change) {
            /**
             * @var array<string, mixed>&array{
             *     code: string, class: string, reserve: bool, storage: array{min_c: int|null, max_c: int|null}|null,
             *     opened_life: array{count: int, unit: string}|null, handling: HandlingData,
             * } $record
             */
            $record = $change['record'];
            $rows[] = [
                'id' => $ids[$record['code']] ??= Str::lower((string) Str::ulid()),
                ...array_intersect_key(
                    $record,
                    array_flip([
                        'code', 'name', 'class', 'count_unit', 'dated', 'sterile', 'mass_g', 'scope', 'purpose', 'caution', 'allergy',
                        'only_for_trained',
                    ]),
                ),
                ...array_intersect_key($record['handling'], array_flip(ItemHandling::COLUMNS)),
                'keeps_as_reserve' => $record['reserve'], 'storage_min_c' => $record['storage']['min_c'] ?? null,
                'storage_max_c' => $record['storage']['max_c'] ?? null,
                'opened_life' => $record['opened_life']['count'] ?? null,
                'opened_life_unit' => $record['opened_life']['unit'] ?? null, 'superseded_by_id' => null,
                'revision' => 1,
            ];
        }
        $done = 0;
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            $columns = array_diff(array_keys($chunk[0]), ['id', 'code', 'revision']);
            DB::table('items')->upsert($chunk, ['code'], [...array_values($columns), 'revision' => DB::raw('items.revision + 1')]);
            $progress($done += intdiv(count($chunk), 2));
        }
        $never = array_merge([], ...array_map(
            static fn (array $change): array => array_filter((array) $change['record']['never_for'], is_string(...)), $changes,
        ));
        $this->classes->make(array_values(array_unique([...array_column($rows, 'class'), ...$never])));
        foreach (array_chunk($changes, self::CHUNK) as $chunk) {
            $this->parts($chunk, $ids);
            $progress($done += count($chunk) - intdiv(count($chunk), 2));
        }
        $this->catalogue->forget();
        $this->plans->forget();
        $this->there = null;
        $this->states->mark();
    }

    /**
     * @param  list<array{record: array<string, mixed>, known: array<string, mixed>|null}>  $changes
     * @param  array<string, string>  $ids  by code
     */
    private function parts(array $changes, array $ids): void
    {
        $touched = array_map(fn (array $change): string => $ids[$this->code($change['record'])], $changes);
        $needs = DB::table('item_needs')->whereIn('item_id', $touched)->pluck('id')->all();
        DB::table('item_need_companions')->whereIn('item_need_id', $needs)->delete();
        foreach (['item_needs', 'item_measures', 'item_packs', 'item_stand_ins', 'item_never_for'] as $table) {
            DB::table($table)->whereIn('item_id', $touched)->delete();
        }
        [$measures, $packs, $standIns, $never, $handling] = [[], [], [], [], []];
        foreach ($changes as $change) {
            /**
             * @var array{
             *     code: string, superseded_by: string|null, size: array<string, string>,
             *     packs: list<array{pieces: int, price: int|null}>,
             *     needs: list<array{any_of: list<string>, per: string, quantity: int, reason: string}>,
             *     stand_ins: list<string>, never_for: list<string>, handling: HandlingData,
             * } $record
             */
            $record = $change['record'];
            $id = $ids[$record['code']];
            $handling[$id] = $record['handling'];
            foreach ($record['size'] as $measure => $quantity) {
                $measures[] = ['item_id' => $id, 'measure' => $measure, 'quantity' => $quantity];
            }
            foreach ($record['packs'] as $pack) {
                $packs[] = ['item_id' => $id, ...$pack];
            }
            foreach ($record['never_for'] as $class) {
                $never[] = ['item_id' => $id, 'class' => $class];
            }
            foreach ($record['stand_ins'] as $position => $code) {
                $standIns[] = ['item_id' => $id, 'stand_in_id' => $ids[$code], 'position' => $position];
            }
            foreach ($record['needs'] as $need) {
                $made = DB::table('item_needs')->insertGetId(['item_id' => $id, ...array_diff_key($need, ['any_of' => 0])]);
                DB::table('item_need_companions')->insert(array_map(
                    static fn (string $code): array => ['item_need_id' => $made, 'item_id' => $ids[$code]],
                    $need['any_of'],
                ));
            }
            if ($record['superseded_by'] !== null) {
                DB::table('items')->where('id', $id)->update(['superseded_by_id' => $ids[$record['superseded_by']]]);
            }
        }
        DB::table('item_measures')->insert($measures);
        DB::table('item_packs')->insert($packs);
        DB::table('item_stand_ins')->insert($standIns);
        DB::table('item_never_for')->insert($never);
        ItemHandling::write($handling, $ids);
    }

    /** @return array<string, array<string, mixed>> */
    private function there(): array
    {
        if ($this->there !== null) {
            return $this->there;
        }
        $never = [];
        foreach (DB::table('item_never_for')->orderBy('class')->get(['item_id', 'class']) as $row) {
            $never[$row->item_id][] = (string) $row->class;
        }
        $handling = ItemHandling::read(array_values(array_map(strval(...), DB::table('items')->pluck('id')->all())));

        return $this->there = Item::query()->with(['measures', 'packs', 'needs.companions', 'supersededBy', 'standIns'])->orderBy('code')->get()
            ->mapWithKeys(fn (Item $item): array => [$item->code => $this->whole([
                'code' => $item->code, 'name' => $item->name, 'class' => $item->class, 'count_unit' => $item->count_unit,
                'dated' => $item->dated, 'sterile' => $item->sterile, 'mass_g' => $item->mass_g,
                'size' => $item->measures->mapWithKeys(static fn (ItemMeasure $measure): array => [$measure->measure => $measure->quantity])->all(),
                'scope' => $item->scope->value, 'reserve' => $item->keeps_as_reserve,
                'purpose' => $item->purpose, 'caution' => $item->caution, 'superseded_by' => $item->supersededBy?->code,
                'storage' => $item->storage_min_c === null && $item->storage_max_c === null ? null
                    : ['min_c' => $item->storage_min_c, 'max_c' => $item->storage_max_c],
                'opened_life' => $item->opened_life === null ? null : ['count' => $item->opened_life, 'unit' => (string) $item->opened_life_unit],
                'allergy' => $item->allergy,
                'packs' => array_values($item->packs->map(static fn (ItemPack $pack): array => [
                    'pieces' => $pack->pieces, 'price' => $pack->price,
                ])->all()),
                'needs' => array_values($item->needs->map(static fn (ItemNeed $need): array => [
                    'any_of' => array_values($need->companions->pluck('code')->all()), 'per' => $need->per,
                    'quantity' => $need->quantity, 'reason' => $need->reason,
                ])->all()),
                'stand_ins' => array_values($item->standIns->pluck('code')->all()),
                'only_for_trained' => $item->only_for_trained, 'never_for' => $never[$item->id] ?? [],
                'handling' => $handling[$item->id],
            ])])->all();
    }
}
