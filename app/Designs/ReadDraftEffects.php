<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\Organisation;
use App\Designs\Edition\EditionContent;
use App\Designs\Http\DraftEffects;
use App\Designs\Models\Design;
use App\Judging\DraftPlan;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Lists\Http\KitEffect;
use Illuminate\Support\Facades\DB;

/** What a design would change in each of its kits, before it is published: what is added, moved and removed, mass and cost. */
final class ReadDraftEffects
{
    private const SHOWN = 30;

    public function __construct(
        private readonly DraftPlan $draft,
        private readonly KitPlans $plans,
        private readonly ReadAdoption $adoption,
        private readonly Organisation $organisation,
    ) {
    }

    public function __invoke(Design $design, EditionContent $content, string $today): DraftEffects
    {
        $all = Kit::query()->where('retired_on', null)->whereHas('edition', static fn ($edition) => $edition->where('design_id', $design->id));
        $names = DB::table('configurations')->join('design_editions', 'design_editions.id', '=', 'configurations.design_edition_id')
            ->where('design_editions.design_id', $design->id)->pluck('configurations.name', 'configurations.id')->all();
        $then = [];
        $effects = [];
        foreach ((clone $all)->orderBy('code')->limit(self::SHOWN)->get() as $kit) {
            $configuration = isset($names[$kit->configuration_id ?? '']) ? (string) $names[$kit->configuration_id ?? ''] : null;
            $plan = $then[$configuration ?? ''] ??= ($this->draft)($design, $content, $configuration);
            $effects[] = KitEffect::of($kit, ($this->adoption)($kit, $this->plans->asThough($kit, $plan), $today));
        }

        return new DraftEffects($effects, $all->count(), $this->organisation->currency);
    }
}
