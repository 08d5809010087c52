<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Assess\Wanted;
use App\Catalogue\Models\Item;
use App\Designs\Models\Design;
use App\Designs\Models\Leaf;
use App\Designs\Models\Pocket;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Lists\LineContent;
use App\Lists\ListLoader;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Lists\WriteList;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Format\KitDocument;

/** Packing plans. A pocket in which something lies, or of which a check tells, is never taken away. */
final class DesignRecords implements Records
{
    private const WITH = ['list', 'additions.entries.item', 'additions.entries.minima', 'leaves.pockets', 'homes', 'seasons', 'modules'];

    /** What a design asks of its kits beside their contents, as columns and fields of both formats. */
    public const POLICY = ['empty_mass_g', 'max_mass_g', 'expiry', 'margin_days', 'grace_days', 'before_events', 'after_use', 'sealed', 'provides'];

    /** @var array<string, array<string, mixed>>|null */
    private ?array $there = null;

    /** @var array<string, KitList> by code and edition */
    private array $editions = [];

    public function __construct(
        private readonly KitPlans $plans,
        private readonly KitStates $states,
        private readonly WriteList $lists,
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
        foreach (KitList::query()->with('lines')->get() as $list) {
            $this->editions["{$list->code} {$list->edition}"] = $list;
        }
    }

    public function known(array $record): ?array
    {
        return $this->there()[$this->code($record)] ?? null;
    }

    public function whole(array $record): array
    {
        $record += [
            'provides' => null, 'modules' => [], 'empty_mass_g' => 0, 'max_mass_g' => null, 'expiry' => 'strict',
            'margin_days' => 14, 'grace_days' => 0, 'every' => null, 'seasons' => [], 'before_events' => false,
            'after_use' => true, 'sealed' => false, 'additions' => [],
        ];
        foreach (is_array($record['leaves'] ?? null) ? $record['leaves'] : [] as $at => $leaf) {
            foreach (is_array($leaf) && is_array($leaf['pockets'] ?? null) ? $leaf['pockets'] : [] as $place => $pocket) {
                $record['leaves'][$at]['pockets'][$place] = (array) $pocket + ['row_span' => 1, 'column_span' => 1];
            }
        }
        foreach (['modules', 'seasons'] as $list) {
            if (is_array($record[$list])) {
                sort($record[$list]);
            }
        }

        return $record;
    }

    public function problems(array $record, ?array $known): array
    {
        /**
         * @var array{
         *     code: string, list: string, edition: string, modules: list<string>,
         *     additions: list<array{id: string, accepts: list<array{item?: string}>}>,
         *     leaves: list<array{name: string, pockets: list<array{name: string, lines: list<string>}>}>,
         * } $record
         */
        $list = $this->editions["{$record['list']} {$record['edition']}"] ?? null;
        if ($list === null) {
            return ["There is no edition {$record['edition']} of a list \"{$record['list']}\". Import the list first."];
        }
        $problems = array_map(
            static fn (string $module): string => "There is no module \"{$module}\".",
            array_values(array_filter(
                $record['modules'],
                static fn (string $module): bool => ! in_array($module, Wanted::all(), true) || ! Wanted::isModule($module),
            )),
        );
        $codes = [...$list->lines->pluck('code')->all(), ...array_column($record['additions'], 'id')];
        $homes = [];
        $names = [];
        foreach ($record['leaves'] as $leaf) {
            foreach ($leaf['pockets'] as $pocket) {
                $names[] = "{$leaf['name']}, {$pocket['name']}";
                array_push($homes, ...$pocket['lines']);
            }
        }
        foreach (array_unique(array_diff($homes, $codes)) as $code) {
            $problems[] = "Line {$code} stands neither in the list nor among the additions.";
        }
        foreach (array_diff($codes, $homes) as $code) {
            $problems[] = "Line {$code} has no pocket.";
        }
        foreach ([
            [$homes, 'Line %s is in two pockets.'], [$names, 'The pocket "%s" is there twice.'],
            [$codes, 'Line %s is there twice.'],
        ] as [$values, $message]) {
            foreach (array_filter(array_count_values($values), static fn (int $times): bool => $times > 1) as $value => $times) {
                $problems[] = sprintf($message, $value);
            }
        }
        $named = array_values(array_filter(array_map(
            static fn (array $entry): ?string => $entry['item'] ?? null,
            array_merge([], ...array_column($record['additions'], 'accepts')),
        )));
        foreach (array_diff($named, Item::query()->whereIn('code', $named)->pluck('code')->all()) as $code) {
            $problems[] = "There is no item \"{$code}\" in the catalogue.";
        }
        foreach ($known === null ? [] : $this->inUse($record['code'], $names) as $name) {
            $problems[] = "The pocket \"{$name}\" holds items or is named in the record: it cannot be removed.";
        }

        return $problems;
    }

    public function take(array $changes, User $by, callable $progress): void
    {
        $items = DB::table('items')->pluck('id', 'code')->all();
        foreach ($changes as $done => $change) {
            $this->write($change['record'], $items);
            $progress($done + 1);
        }
        $this->there = null;
        $this->plans->forget();
        $this->states->mark();
    }

    /**
     * @param  array<string, mixed>  $record
     * @param  array<string, string>  $items
     */
    private function write(array $record, array $items): void
    {
        /**
         * @var array{
         *     code: string, name: string, list: string, edition: string, modules: list<string>,
         *     every: array{count: int, unit: string}|null, seasons: list<string>,
         *     additions: list<array<string, mixed>>,
         *     leaves: list<array{
         *         name: string,
         *         pockets: list<array{name: string, row: int, column: int, row_span: int, column_span: int, lines: list<string>}>,
         *     }>,
         * } $record
         */
        $list = $this->editions["{$record['list']} {$record['edition']}"];
        $design = Design::query()->where('code', $record['code'])->first() ?? new Design(['code' => $record['code'], 'revision' => 0]);
        $design->fill([
            'name' => $record['name'], 'list_id' => $list->id,
            ...array_intersect_key($record, array_flip(self::POLICY)),
            'every_unit' => $record['every']['unit'] ?? null, 'every_count' => $record['every']['count'] ?? null,
            'revision' => $design->revision + 1,
        ])->save();
        $design->seasons()->delete();
        $design->seasons()->createMany(array_map(static fn (string $day): array => ['month_day' => $day], $record['seasons']));
        $design->modules()->delete();
        $design->modules()->createMany(array_map(static fn (string $module): array => ['module' => $module], $record['modules']));
        $modulePockets = DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')
            ->where('leaves.design_id', $design->id)->whereNotNull('pockets.module_list_id')->pluck('pockets.id')
            ->all();
        $design->homes()->whereNotIn('pocket_id', $modulePockets)->delete();
        $lines = [...$list->lines()->pluck('id', 'code')->all(), ...$this->additions($design, $record['additions'], $items)];
        $kept = [];
        $place = 0;
        foreach ($record['leaves'] as $position => $about) {
            $leaf = Leaf::query()->updateOrCreate(['design_id' => $design->id, 'name' => $about['name']], ['position' => $position]);
            foreach ($about['pockets'] as $pocket) {
                $made = Pocket::query()->updateOrCreate(
                    ['leaf_id' => $leaf->id, 'name' => $pocket['name'], 'module_list_id' => null],
                    array_diff_key($pocket, ['name' => 0, 'lines' => 0]),
                );
                $kept[] = $made->id;
                foreach ($pocket['lines'] as $code) {
                    $design->homes()->create(['line_id' => $lines[$code], 'pocket_id' => $made->id, 'position' => $place++]);
                }
            }
        }
        Pocket::query()->whereIn('leaf_id', $design->leaves()->pluck('id'))->whereNotIn('id', [...$kept, ...$modulePockets])->delete();
        $design->leaves()->whereDoesntHave('pockets')->delete();
    }

    /**
     * @param  list<array<string, mixed>>  $additions
     * @param  array<string, string>  $items
     * @return array<string, string> line ids by code
     */
    private function additions(Design $design, array $additions, array $items): array
    {
        foreach ($design->additions()->get() as $line) {
            /** @var Line $line */
            WriteList::remove($line);
        }
        $ids = [];
        foreach ($additions as $position => $addition) {
            $written = LineContent::ofDocument($addition);
            $line = Line::query()->create(['design_id' => $design->id, 'position' => $position, ...$written->columns()]);
            $this->lists->entries($line, $written->accepts, $items);
            $ids[$written->code] = $line->id;
        }

        return $ids;
    }

    /**
     * @param  list<string>  $names  of pockets that stay
     * @return list<string>
     */
    private function inUse(string $code, array $names): array
    {
        $pockets = DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')
            ->join('designs', 'designs.id', '=', 'leaves.design_id')->where('designs.code', $code)
            ->whereNull('pockets.module_list_id')
            ->get(['pockets.id', 'pockets.name', 'leaves.name as leaf']);
        $gone = [];
        foreach ($pockets as $pocket) {
            $name = "{$pocket->leaf}, {$pocket->name}";
            if (! in_array($name, $names, true) && self::isNamedInTheRecord($pocket->id)) {
                $gone[] = $name;
            }
        }

        return $gone;
    }

    private static function isNamedInTheRecord(string $pocket): bool
    {
        return DB::table('check_rows')->where('pocket_id', $pocket)->exists()
            || DB::table('movements')->where('from_pocket_id', $pocket)->orWhere('to_pocket_id', $pocket)->exists();
    }

    /** @return array<string, array<string, mixed>> */
    private function there(): array
    {
        return $this->there ??= Design::query()->with(self::WITH)->orderBy('code')->get()
            ->mapWithKeys(fn (Design $design): array => [$design->code => $this->whole($this->document($design))])
            ->all();
    }

    /** @return array<string, mixed> */
    private function document(Design $design): array
    {
        $codes = DB::table('lines')->whereIn('id', $design->homes->pluck('line_id'))->pluck('code', 'id')->all();
        $homes = $design->homes->groupBy('pocket_id');

        return [
            'code' => $design->code, 'name' => $design->name, 'list' => $design->list->code,
            'edition' => $design->list->edition, 'provides' => $design->provides,
            'modules' => array_values($design->modules->pluck('module')->all()),
            'empty_mass_g' => $design->empty_mass_g, 'max_mass_g' => $design->max_mass_g, 'expiry' => $design->expiry->value,
            'margin_days' => $design->margin_days, 'grace_days' => $design->grace_days,
            'every' => $design->every_unit === null ? null : [
                'count' => $design->every_count, 'unit' => $design->every_unit,
            ], 'seasons' => array_values($design->seasons->pluck('month_day')->all()),
            'before_events' => $design->before_events, 'after_use' => $design->after_use, 'sealed' => $design->sealed,
            'additions' => array_values($design->additions->map(static function (Line $line): array {
                $written = KitDocument::line(ListLoader::line($line));

                return ['id' => $line->code, 'need' => $line->need, ...array_diff_key($written, ['id' => 0]), 'reason' => $line->reason];
            })->all()),
            'leaves' => array_values($design->leaves->map(static fn (Leaf $leaf): array => [
                'name' => $leaf->name,
                'pockets' => array_values($leaf->pockets->where('module_list_id', null)->map(static fn (Pocket $pocket): array => [
                    'name' => $pocket->name, 'row' => $pocket->row, 'column' => $pocket->column,
                    'row_span' => $pocket->row_span, 'column_span' => $pocket->column_span,
                    'lines' => array_values($homes->get($pocket->id)
                        ?->map(static fn ($home): string => $codes[$home->line_id])->all() ?? []),
                ])->all()),
            ])->filter(static fn (array $leaf): bool => $leaf['pockets'] !== [])->all()),
        ];
    }
}
