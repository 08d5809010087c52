<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Catalogue;
use App\Catalogue\ItemHandling;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Models\Design;
use App\Judging\DraftPlan;
use App\Judging\KitPlan;
use App\Judging\KitPlanLine;
use App\Kits\Models\Kit;
use App\Lists\ListLoader;
use App\People\Scopes;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Restock;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Kit as JudgedKit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Packing\Compartment;
use Sarcina\Core\Packing\Handling;
use Sarcina\Core\Packing\PackedLine;
use Sarcina\Core\Packing\Packing;

/** An edition of a design, published or not, as it is packed: for every line the item that the `check` rule would fill it with. */
final class LoadPacking
{
    /** Kits whose people are asked: many alike hang at few places. */
    private const KITS = 50;

    public function __construct(
        private readonly DraftPlan $plan,
        private readonly ListLoader $lists,
        private readonly Scopes $scopes,
        private readonly Catalogue $catalogue,
    ) {
    }

    /** With all that any of its configurations switches on. */
    public function __invoke(?Design $design, EditionContent $content, string $today): PackedDesign
    {
        return $this->packed($design, $content, ($this->plan)($design, new EditionContent(
            $content->listId, $content->policy, $content->additions, $content->modules, $content->seasons, $content->leaves, [], $content->setAside,
        )), $today);
    }

    /** @param  string|null  $configuration  null: as it is without any */
    public function setTo(?string $configuration, Design $design, EditionContent $content, string $today): PackedDesign
    {
        return $this->packed($design, $content, ($this->plan)($design, $content, $configuration), $today);
    }

    private function packed(?Design $design, EditionContent $content, KitPlan $plan, string $today): PackedDesign
    {
        return new PackedDesign($plan, new Packing(
            self::compartments($content->leaves, null), $this->lines($plan, $content->leaves), $plan->excludes, $this->scope($design, $today),
            $content->policy->latexFree, $content->policy->wrappers,
        ));
    }

    /**
     * @param  list<CompartmentContent>  $leaves
     * @return list<PackedLine>
     */
    private function lines(KitPlan $plan, array $leaves): array
    {
        $placed = [];
        foreach (CompartmentContent::byPath($leaves) as $one) {
            foreach ($one->lines as $line) {
                $placed[$line->code] = true;
            }
        }
        $day = Day::numbered(0);
        $judgement = $this->lists->judge(
            $plan->asked(), [], new JudgedKit($plan->code, Scope::Clinician, null, 0), new Policy(ExpiryPolicy::Strict, $day, 0), $day,
        );
        $fills = [];
        foreach ($judgement->restock as $restock) {
            $fills[$restock->line] ??= [$this->lists->itemFor($judgement, $restock), $restock];
        }
        $codes = array_values(array_filter(array_column($fills, 0)));
        $items = $this->catalogue->items($codes);
        $handling = ItemHandling::ofCodes($codes);

        return array_map(static function (KitPlanLine $line) use ($fills, $items, $handling, $placed): PackedLine {
            [$code, $restock] = $fills[$line->code()] ?? [null, null];

            return new PackedLine(
                $line->code(), $line->asked->rank, $code === null ? null : $items[$code] ?? null, $handling[$code ?? ''] ?? new Handling,
                isset($placed[$line->code()]) ? self::pieces($line, $restock) : [], $restock->quantity ?? 0,
            );
        }, $plan->lines);
    }

    /** @return array<string, int> by compartment */
    private static function pieces(KitPlanLine $line, ?Restock $restock): array
    {
        $pieces = [];
        foreach ($line->shares as $share) {
            $pieces[$share->pocketId] = $share->quantity;
        }

        return $pieces !== [] ? $pieces : [(string) $line->pocketId => $restock->quantity ?? 0];
    }

    /**
     * @param  list<CompartmentContent>  $compartments
     * @return list<Compartment>
     */
    private static function compartments(array $compartments, ?string $parent): array
    {
        $all = [];
        foreach ($compartments as $one) {
            $all[] = new Compartment(
                (string) $one->id, $parent, $one->closure !== null, in_array('exposed_to_rain', $one->properties, true),
                in_array('waterproof', $one->properties, true), in_array('sharps', $one->properties, true), $one->caution !== null,
            );
            array_push($all, ...self::compartments($one->inside, (string) $one->id));
        }

        return $all;
    }

    /** The lowest of those who have a kit of it; null where there is none. */
    private function scope(?Design $design, string $today): ?Scope
    {
        $lowest = null;
        $kits = $design === null ? [] : Kit::query()->where('retired_on', null)
            ->whereHas('edition', static fn ($edition) => $edition->where('design_id', $design->id))->orderBy('code')->limit(self::KITS)->get();
        foreach ($kits as $kit) {
            $scope = $this->scopes->of($kit, Day::of($today))->scope;
            if ($lowest === null || $lowest->isAbove($scope)) {
                $lowest = $scope;
            }
        }

        return $lowest;
    }
}
