<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use LogicException;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Due\Interval;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Lists\Total;
use Sarcina\Core\Measure\Quantity;
use stdClass;

/** Reads designs as plans and remembers them for the request. */
final class KitPlans
{
    /** @var array<string, KitPlan> by design id and the modules beside it */
    private array $plans = [];

    /** @var array<string, array<string, string>> by kit: lists of the modules that it carries beside its design, by module */
    private array $modules = [];

    private ?int $version = null;

    public function __construct(private readonly Catalogue $catalogue, private readonly KeptPlans $kept)
    {
    }

    public function of(string $designId): KitPlan
    {
        return $this->plan($designId, []);
    }

    /** The plan of a kit: its design's, and the modules that were put into it. */
    public function forKit(Kit $kit): KitPlan
    {
        if (! isset($this->modules[$kit->id])) {
            $this->readAhead([$kit]);
        }

        return $this->plan($kit->design_id, $this->modules[$kit->id]);
    }

    /** From now on what was read under this version may be taken from what is kept; null: nothing may. */
    public function under(?int $version): void
    {
        $this->version = $version;
    }

    /** Reads and keeps the plans of all kits that are in service, where they are not kept under this version yet. */
    public function keepAll(int $version): void
    {
        $there = array_flip($this->kept->under($version));
        $kits = DB::table('kits')->whereNull('retired_on')->distinct();
        $wanted = array_fill_keys($kits->pluck('design_id')->all(), []);
        $carried = [];
        foreach (DB::table('kit_modules')->join('kits', 'kits.id', '=', 'kit_modules.kit_id')->whereNull('kits.retired_on')
            ->orderBy('kit_modules.module')->get(['kits.id', 'kits.design_id', 'kit_modules.module', 'kit_modules.list_id']) as $row) {
            $carried["{$row->design_id} {$row->id}"][$row->module] = $row->list_id;
        }
        foreach ($carried as $kit => $modules) {
            $wanted[self::key(explode(' ', $kit)[0], $modules)] = $modules;
        }
        foreach (array_diff_key($wanted, $there) as $key => $modules) {
            $plan = $this->plan(explode(' ', (string) $key)[0], $modules);
            $this->kept->keep((string) $key, $version, $plan, $this->catalogue->rows(array_keys($plan->items)));
        }
    }

    /** @param  array<string, string>  $modules */
    private function plan(string $designId, array $modules): KitPlan
    {
        $key = self::key($designId, $modules);
        if (! isset($this->plans[$key])) {
            $kept = $this->version === null ? null : $this->kept->find($key, $this->version);
            if ($kept !== null) {
                $this->catalogue->remember($kept[0]->items, $kept[1]);
            }
            $this->plans[$key] = $kept[0] ?? $this->read($designId, $modules);
        }

        return $this->plans[$key];
    }

    /** @param  array<string, string>  $modules */
    private static function key(string $designId, array $modules): string
    {
        return trim($designId.' '.implode(' ', $modules));
    }

    /** Forgets what was read, after a list, a design or a kit's modules changed. */
    public function forget(): void
    {
        $this->plans = [];
        $this->modules = [];
    }

    /**
     * Reads which modules these kits carry, at once.
     *
     * @param  list<Kit>  $kits
     */
    public function readAhead(array $kits): void
    {
        $ids = array_map(static fn (Kit $kit): string => $kit->id, $kits);
        $this->modules = [...$this->modules, ...array_fill_keys($ids, [])];
        foreach (DB::table('kit_modules')->whereIn('kit_id', $ids)->orderBy('module')->get(['kit_id', 'module', 'list_id']) as $row) {
            $this->modules[$row->kit_id][$row->module] = $row->list_id;
        }
    }

    /** @param  array<string, string>  $modules  list ids by module */
    private function read(string $designId, array $modules): KitPlan
    {
        /** @var \stdClass $design */
        $design = DB::table('designs')->join('lists', 'lists.id', '=', 'designs.list_id')->where('designs.id', $designId)
            ->first([
                'designs.*', 'lists.code as list_code', 'lists.title', 'lists.size', 'lists.edition', 'lists.basis',
                'lists.origin', 'lists.confirmed_at',
            ]);
        $names = [];
        $byLeaf = [];
        $pockets = [];
        $all = DB::table('leaves')->join('pockets', 'pockets.leaf_id', '=', 'leaves.id')->where('leaves.design_id', $designId)
            ->where(fn ($query) => $query->whereNull('pockets.module_list_id')->orWhereIn('pockets.module_list_id', array_values($modules)))
            ->orderBy('leaves.position')->orderBy('pockets.row')->orderBy('pockets.column')
            ->get(['pockets.*', 'leaves.name as leaf', 'leaves.position']);
        foreach ($all as $pocket) {
            $pockets[$pocket->id] = new PlanPocket(
                $pocket->id, $pocket->name, $pocket->leaf, (int) $pocket->row, (int) $pocket->column,
                (int) $pocket->row_span, (int) $pocket->column_span,
            );
            $names[$pocket->position] = $pocket->leaf;
            $byLeaf[$pocket->position][] = $pockets[$pocket->id];
        }
        $leaves = array_map(static fn (string $name, array $on): PlanLeaf => new PlanLeaf($name, $on), $names, $byLeaf);
        [$lines, $named] = $this->lines($designId, $design->list_id, $modules);

        return new KitPlan(
            $designId, $design->code, $design->name, (int) $design->empty_mass_g,
            $design->max_mass_g === null ? null : (int) $design->max_mass_g,
            $this->policy($design),
            new KeptList(
                $design->list_id, $design->list_code, $design->title, $design->size, $design->edition, $design->basis,
                $design->origin, $design->confirmed_at !== null,
            ),
            array_values(DB::table('list_exclusions')->where('list_id', $design->list_id)->orderBy('id')->pluck('class')
                ->map(static fn (string $class): ItemClass => new ItemClass($class))->all()),
            $lines,
            $pockets,
            $leaves,
            $this->catalogue->items($named),
        );
    }

    private function policy(stdClass $design): CheckPolicy
    {
        return new CheckPolicy(
            ExpiryPolicy::from($design->expiry),
            (int) $design->margin_days,
            (int) $design->grace_days,
            match ($design->every_unit) {
                'months' => Interval::months((int) $design->every_count),
                'weeks' => Interval::weeks((int) $design->every_count),
                'days' => Interval::days((int) $design->every_count),
                default => null,
            },
            array_values(DB::table('design_seasons')->where('design_id', $design->id)->orderBy('month_day')->pluck('month_day')
                ->map(SeasonDay::of(...))->all()),
            (bool) $design->before_events,
            (bool) $design->after_use,
            (bool) $design->sealed,
        );
    }

    /**
     * @param  array<string, string>  $modules
     * @return array{list<KitPlanLine>, list<string>} the lines, and the codes of items that they name
     */
    private function lines(string $designId, string $listId, array $modules): array
    {
        $moduleOf = array_flip($modules);
        $rows = DB::table('lines')
            ->leftJoin('line_homes', fn ($join) => $join->on('line_homes.line_id', '=', 'lines.id')->where('line_homes.design_id', $designId))
            ->whereIn('lines.list_id', [$listId, ...array_values($modules)])->orWhere('lines.design_id', $designId)
            ->orderByRaw('lines.design_id IS NOT NULL')->orderBy('lines.position')
            ->get(['lines.*', 'line_homes.pocket_id', 'line_homes.position as place']);
        $minima = [];
        $entries = [];
        $named = [];
        $ids = $rows->pluck('id')->all();
        $least = DB::table('line_entry_minima')->join('line_entries', 'line_entries.id', '=', 'line_entry_minima.line_entry_id')
            ->whereIn('line_entries.line_id', $ids)->orderBy('line_entry_minima.id')->get(['line_entry_minima.*']);
        foreach ($least as $minimum) {
            $minima[$minimum->line_entry_id][$minimum->measure] = Quantity::of($minimum->quantity);
        }
        $accepted = DB::table('line_entries')->leftJoin('items', 'items.id', '=', 'line_entries.item_id')
            ->whereIn('line_entries.line_id', $ids)->orderBy('line_entries.position')->get(['line_entries.*', 'items.code']);
        foreach ($accepted as $entry) {
            if ($entry->code !== null) {
                $named[] = $entry->code;
                $entries[$entry->line_id][] = Accepted::item($entry->code);
            } else {
                $entries[$entry->line_id][] = Accepted::class($entry->class, $minima[$entry->id] ?? []);
            }
        }
        $lines = [];
        foreach ($rows->sortBy('place') as $line) {
            // Lines of a module are told from the design's own by its name before theirs.
            $code = isset($moduleOf[$line->list_id]) ? "{$moduleOf[$line->list_id]}.{$line->code}" : $line->code;
            $lines[] = new KitPlanLine(
                $line->id,
                self::asked($line, $code, $entries[$line->id] ?? []),
                $line->need,
                $line->pocket_id,
                $line->reason,
                $line->list_id,
            );
        }

        return [$lines, array_values(array_unique($named))];
    }

    /** @param  list<Accepted>  $accepts */
    private static function asked(stdClass $line, string $code, array $accepts): Line
    {
        if ($accepts === []) {
            throw new LogicException("The line {$line->need} ({$code}) accepts nothing: no list is saved so.");
        }
        $rank = Rank::from($line->rank);

        return $line->total_quantity === null
            ? Line::counted($code, $rank, $accepts, (int) $line->quantity)
            : Line::totalled($code, $rank, $accepts, new Total($line->total_measure, Quantity::of($line->total_quantity)));
    }
}
