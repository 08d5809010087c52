<?php

declare(strict_types=1);

namespace App\Lists;

use App\Catalogue\Catalogue;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Designs\ReadAdoption;
use App\Judging\KitPlan;
use App\Judging\KitPlanLine;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Lists\Http\KitEffect;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use Illuminate\Database\Eloquent\Builder;
use LogicException;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\Line as CoreLine;

/** What each kit would have added, moved and removed if its design kept another edition of its list. */
final class EffectsOfEdition
{
    public function __construct(
        private readonly ReadAdoption $adoption,
        private readonly KitPlans $plans,
        private readonly Catalogue $catalogue,
    ) {
    }

    /** How many kits are of designs whose latest edition keeps that edition of a list. */
    public function count(KitList $from): int
    {
        return $this->kits($from->designs()->pluck('designs.id')->all())->count();
    }

    /**
     * @param  array<array-key, mixed>  $designs  ids
     * @return Builder<Kit> in service, whichever edition of their design they keep
     */
    public function kits(array $designs): Builder
    {
        return Kit::query()->whereHas('edition', fn ($editions) => $editions->whereIn('design_id', $designs))
            ->where('retired_on', null)->with(['place', 'modules', 'parent'])->orderBy('code');
    }

    /** @return list<KitEffect> */
    public function ofAll(Design $design, KitList $from, KitList $to, string $today): array
    {
        $then = $this->then($design, $from, $to);

        return array_values($this->kits([$design->id])->get()->map(fn (Kit $kit): KitEffect => $this->of($kit, $then, $today))->all());
    }

    public function of(Kit $kit, KitPlan $then, string $today): KitEffect
    {
        return KitEffect::of($kit, ($this->adoption)($kit, $this->plans->asThough($kit, $then), $today));
    }

    public function then(Design $design, KitList $from, KitList $to): KitPlan
    {
        $to->loadMissing(['lines.entries.item', 'lines.entries.limits', 'exclusions']);

        return $this->plan($this->plans->of(self::latest($design)->id), $from, $to);
    }

    public static function latest(Design $design): DesignEdition
    {
        return $design->latest ?? throw new LogicException("The design {$design->code} has no edition.");
    }

    /** The plan of a design as though it kept the other edition: lines keep their pockets. */
    private function plan(KitPlan $plan, KitList $from, KitList $to): KitPlan
    {
        $pockets = [];
        $others = [];
        foreach ($plan->lines as $line) {
            $pockets[$line->code()] = $line->pocketId;
            if ($line->listId !== $from->id) {
                $others[] = $line;
            }
        }
        $lines = array_values($to->lines->map(static fn (Line $line): KitPlanLine => new KitPlanLine(
            $line->id, ListLoader::line($line), $line->need, $pockets[$line->code] ?? null, $line->reason, $to->id,
        ))->all());
        $asked = ListLoader::asked($to);
        $codes = array_merge([], ...array_map(
            static fn (CoreLine $line): array => array_map(static fn (Accepted $one): ?string => $one->item, $line->accepts),
            $asked->lines,
        ));

        return $plan->keeping([...$lines, ...$others], $asked->excludes, $this->catalogue->items(array_values(array_unique(array_filter($codes)))));
    }
}
