<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Assess\Wanted;
use App\Designs\DesignFaults;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\ReadEdition;
use App\Designs\Models\Design;
use App\Designs\PublishEdition;
use App\Lists\Models\KitList;

/** Packing plans, each as its latest edition says. A change publishes the next one; kits keep theirs until somebody adopts it for them. */
final class DesignRecords implements Records
{
    /** What a design asks of its kits beside their contents, as columns and fields of both formats. */
    public const POLICY = [
        'empty_mass_g', 'max_mass_g', 'expiry', 'margin_days', 'grace_days', 'before_events', 'after_use', 'sealed', 'provides', 'serves',
        'max_volume_ml', 'max_cost', 'latex_free', 'wrappers', 'not_ready_after_days',
    ];

    /** @var array<string, array<string, mixed>>|null */
    private ?array $there = null;

    /** @var array<string, KitList> by code and edition */
    private array $editions = [];

    /** @var list<string> codes of the designs that are there or in the file */
    private array $codes = [];

    public function __construct(
        private readonly ReadEdition $read,
        private readonly PublishEdition $publish,
        private readonly DesignFaults $faults,
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
        $there = array_map(strval(...), Design::query()->pluck('code')->all());
        $this->codes = array_values([...array_map($this->code(...), $records), ...$there]);
    }

    public function known(array $record): ?array
    {
        return $this->there()[$this->code($record)] ?? null;
    }

    public function whole(array $record): array
    {
        $record += ['provides' => null, 'serves' => null, ...DesignDocument::DEFAULTS];
        foreach (is_array($record['leaves'] ?? null) ? $record['leaves'] : [] as $at => $leaf) {
            if (is_array($leaf)) {
                $record['leaves'][$at] += DesignDocument::LEAF;
            }
            foreach (is_array($leaf) && is_array($leaf['pockets'] ?? null) ? $leaf['pockets'] : [] as $place => $pocket) {
                $record['leaves'][$at]['pockets'][$place] = DesignDocument::wholePocket($pocket);
            }
        }
        if (is_array($record['additions'])) {
            $record['additions'] = array_map(static fn (mixed $line): array => (array) $line + ['anyone_may_use' => false], $record['additions']);
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
        /** @var array{list: string, edition: string, modules: list<string>, provides: string|null, serves: string|null} $record */
        $list = $this->editions["{$record['list']} {$record['edition']}"] ?? null;
        if ($list === null) {
            return ["There is no edition {$record['edition']} of a list \"{$record['list']}\". Import the list first."];
        }
        $modules = [...$record['modules'], ...($record['serves'] === null ? [] : [$record['serves']])];
        $problems = array_map(
            static fn (string $module): string => "There is no module \"{$module}\".",
            array_values(array_filter(
                $modules,
                static fn (string $module): bool => ! in_array($module, Wanted::all(), true) || ! Wanted::isModule($module),
            )),
        );
        if ($record['provides'] !== null && $record['serves'] !== null) {
            $problems[] = 'A design is for a kit that the plan asks for, or for a module: leave "provides" or "serves" empty.';
        }

        return [...$problems, ...$this->faults->of(DesignDocument::content($record, $list->id, []), $list, $this->codes)];
    }

    public function take(array $changes, User $by, callable $progress): void
    {
        // Modules first: slots name them.
        usort($changes, static fn (array $one, array $other): int => ($one['record']['serves'] === null) <=> ($other['record']['serves'] === null));
        foreach ($changes as $done => $change) {
            $this->write($change['record']);
            $progress($done + 1);
        }
        $this->there = null;
    }

    /** @param  array<string, mixed>  $record */
    private function write(array $record): void
    {
        /** @var array{code: string, name: string, list: string, edition: string, provides: string|null, serves: string|null} $record */
        $list = $this->editions["{$record['list']} {$record['edition']}"];
        $design = Design::query()->updateOrCreate(['code' => $record['code']], [
            'name' => $record['name'], 'provides' => $record['provides'], 'serves' => $record['serves'],
        ]);
        $latest = $design->latest()->first();
        $known = $latest === null ? [] : array_map(
            static fn (CompartmentContent $one): string => (string) $one->id,
            CompartmentContent::byPath(($this->read)($latest)->leaves),
        );
        ($this->publish)($design, DesignDocument::content($record, $list->id, $known), now());
    }

    /** @return array<string, array<string, mixed>> */
    private function there(): array
    {
        if ($this->there === null) {
            $this->there = [];
            foreach (Design::query()->with('latest.list')->orderBy('code')->get() as $design) {
                if ($design->latest !== null) {
                    $this->there[$design->code] = $this->whole(DesignDocument::of($design, $design->latest->list, ($this->read)($design->latest)));
                }
            }
        }

        return $this->there;
    }
}
