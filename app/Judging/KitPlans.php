<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;

/** Reads editions of designs as plans and remembers them for the request. */
final class KitPlans
{
    /** @var array<string, KitPlan> by edition and configuration */
    private array $plans = [];

    private ?int $version = null;

    public function __construct(private readonly Catalogue $catalogue, private readonly KeptPlans $kept, private readonly ReadPlan $read)
    {
    }

    public function of(string $editionId, ?string $configurationId = null): KitPlan
    {
        $key = self::key($editionId, $configurationId);
        if (! isset($this->plans[$key])) {
            $this->take([$key]);
        }

        return $this->plans[$key] ??= ($this->read)($editionId, $configurationId);
    }

    /**
     * Takes those of these editions that are kept, at once.
     *
     * @param  list<string>  $editionIds
     */
    public function readAhead(array $editionIds): void
    {
        $this->take(array_values(array_diff($editionIds, array_keys($this->plans))));
    }

    private static function key(string $editionId, ?string $configurationId): string
    {
        return trim("{$editionId} {$configurationId}");
    }

    /** @param  list<string>  $keys */
    private function take(array $keys): void
    {
        foreach ($this->version === null || $keys === [] ? [] : $this->kept->find($keys, $this->version) as $key => [$plan, $rows]) {
            $this->catalogue->remember($plan->items, $rows);
            $this->plans[$key] = $plan;
        }
    }

    /** The plan of a kit: that of the edition that it keeps, joined with those of the modules in it and of those that are missing. */
    public function forKit(Kit $kit): KitPlan
    {
        return $this->joined($kit, $this->of($kit->design_edition_id, $kit->configuration_id));
    }

    /** The plan of a kit as though its own were that, with its modules as they are. */
    public function asThough(Kit $kit, KitPlan $own): KitPlan
    {
        return $this->joined($kit, $own);
    }

    private function joined(Kit $kit, KitPlan $own): KitPlan
    {
        $modules = $kit->modules->all();
        if ($modules === [] && $own->slots === []) {
            return $own;
        }
        $parts = [new PlanPart('', $kit->name, $own, $kit)];
        $filled = [];
        foreach ($modules as $module) {
            $plan = $this->of($module->design_edition_id, $module->configuration_id);
            $parts[] = new PlanPart($module->code, "{$module->code} {$module->name}", $plan, $module, $module->slot_id);
            $filled[$module->slot_id ?? ''] = $plan->designId;
        }
        foreach ($own->slots as $slot) {
            if (($filled[$slot->id] ?? null) === $slot->designId) {
                continue;
            }
            $latest = DesignEdition::query()->where('design_id', $slot->designId)->whereNotNull('published_at')->orderByDesc('number')->value('id');
            if (is_string($latest)) {
                $plan = $this->of($latest);
                $parts[] = new PlanPart(mb_substr($slot->name, 0, 38), "{$slot->designName}, missing from its slot", $plan, null, $slot->id);
            }
        }

        return KitPlan::joined($parts);
    }

    /** Another edition as that kit would keep it: set to the configuration that is called like its own. */
    public function another(Kit $kit, DesignEdition $edition): KitPlan
    {
        $name = $kit->configuration_id === null ? null : DB::table('configurations')->where('id', $kit->configuration_id)->value('name');
        $id = $name === null ? null : DB::table('configurations')->where('design_edition_id', $edition->id)->where('name', $name)->value('id');

        return $this->joined($kit, $this->of($edition->id, is_string($id) ? $id : null));
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
        $wanted = DB::table('kits')->whereNull('retired_on')->distinct()->get(['design_edition_id', 'configuration_id'])
            // And those that new kits are made of.
            ->concat(Design::query()->with('latest')->get()->whereNotNull('latest')->map(static fn (Design $design): object => (object) [
                'design_edition_id' => $design->latest?->id, 'configuration_id' => null,
            ]));
        foreach ($wanted as $one) {
            $key = self::key($one->design_edition_id, $one->configuration_id);
            if (! isset($there[$key])) {
                $there[$key] = true;
                $plan = $this->of($one->design_edition_id, $one->configuration_id);
                $this->kept->keep($key, $version, $plan, $this->catalogue->rows(array_keys($plan->items)));
            }
        }
    }

    /** Forgets what was read, after a list or a design changed. */
    public function forget(): void
    {
        $this->plans = [];
    }
}
