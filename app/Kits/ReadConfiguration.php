<?php

declare(strict_types=1);

namespace App\Kits;

use App\Designs\ReadAdoption;
use App\Judging\KitPlan;
use App\Judging\KitPlans;
use App\Judging\PlanPart;
use App\Judging\PlanSlot;
use App\Kits\Http\ConfigurationEffect;
use App\Kits\Models\Kit;
use App\Lists\Http\KitEffect;
use Illuminate\Support\Facades\DB;

/** What setting a kit to another configuration would ask for. */
final class ReadConfiguration
{
    public function __construct(private readonly KitPlans $plans, private readonly ReadAdoption $adoption)
    {
    }

    /** @param  string|null  $to  its name; null: none */
    public function __invoke(Kit $kit, ?string $to, string $today): ConfigurationEffect
    {
        $own = $this->plans->of($kit->design_edition_id, SetConfiguration::idOf($kit, $to));
        $then = $this->plans->asThough($kit, $own);
        $from = $kit->configuration_id === null ? null : DB::table('configurations')->where('id', $kit->configuration_id)->value('name');
        $slots = array_map(static fn (PlanSlot $slot): string => $slot->id, $own->slots);
        $missing = array_filter(array_slice($then->parts, 1), static fn (PlanPart $part): bool => $part->kit === null);
        $out = $kit->modules->filter(static fn (Kit $one): bool => $one->slot_id !== null && ! in_array($one->slot_id, $slots, true));

        return new ConfigurationEffect(
            is_string($from) ? $from : null, $to, KitEffect::of($kit, ($this->adoption)($kit, $then, $today)),
            array_values(array_map(static fn (PlanPart $part): string => self::slotName($own, $part).": {$part->plan->name}", $missing)),
            array_values($out->map(static fn (Kit $one): string => "{$one->code} {$one->name}")->all()),
        );
    }

    private static function slotName(KitPlan $own, PlanPart $part): string
    {
        foreach ($own->slots as $slot) {
            if ($slot->id === $part->slotId) {
                return $slot->name;
            }
        }

        return $part->name;
    }
}
