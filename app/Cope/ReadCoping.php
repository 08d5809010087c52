<?php

declare(strict_types=1);

namespace App\Cope;

use App\Catalogue\Catalogue;
use App\Cope\Http\CopedResource;
use App\Cope\Http\CopingResource;
use App\Cope\Http\LimitResource;
use App\Cope\Http\ShiftCopingResource;
use App\Designs\Models\DesignEdition;
use App\Judging\JudgingVersion;
use App\Judging\KitJudge;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Lists\ListLoader;
use LogicException;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Cope\Coping;
use Sarcina\Core\Cope\Emergency as Asked;
use Sarcina\Core\Cope\Need;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\KitList;

/**
 * For how many casualties the supplies of a kit suffice, as it stands or as a design plans it: each kind by itself, and two at once as one
 * emergency with the needs of both. What counts is what the verdict counts.
 */
final class ReadCoping
{
    /** Long after anything that is planned could expire. */
    private const UNEXPIRED = '9999-12';

    public function __construct(
        private readonly Emergencies $emergencies,
        private readonly KitJudge $judge,
        private readonly KitPlans $plans,
        private readonly ListLoader $lists,
        private readonly Catalogue $catalogue,
        private readonly JudgingVersion $version,
    ) {
    }

    /** @param  list<string>  $together  codes of two kinds that are dealt with at once */
    public function ofKit(Kit $kit, string $today, array $together): CopingResource
    {
        $judged = $this->judge->judge($kit, $today);
        $assignment = $judged->recorded->assignment;
        $scopes = [];
        foreach ($judged->scope->each() as $scope) {
            $in = array_filter($judged->scope->shifts, static fn (array $shift): bool => $shift['scope'] === $scope);
            $scopes[] = [
                Supplies::ofKit($judged->recorded, $scope), $scope, array_values(array_column($in, 'shift')),
            ];
        }

        [$planned] = $this->planned($judged->plan->asked($assignment->asOf), $scopes[0][1], $assignment->asOf);

        [$full] = $this->planned($judged->plan->asked($assignment->asOf), Scope::Clinician, $assignment->asOf);

        return $this->resource("{$kit->code} {$kit->name}", $scopes, $together, $full, planned: $planned);
    }

    /** @param  list<string>  $together */
    public function ofDesign(DesignEdition $edition, string $name, Scope $scope, string $today, array $together): CopingResource
    {
        $this->version->now();
        $day = Day::of($today);
        $plan = $this->plans->of($edition->id);
        $asked = $plan->asked($day);
        [$cope, $unserved] = $this->planned($asked, $scope, $day);

        return $this->resource($name, [[$cope, $scope, []]], $together, $this->planned($asked, Scope::Clinician, $day)[0], $unserved);
    }

    /** @return array{Supplies, int} of a kit that holds all that its list asks for, and lines that nothing in the catalogue serves */
    private function planned(KitList $asked, Scope $scope, Day $day): array
    {
        [$lines, $unserved] = $this->lists->outfitByLine($asked);
        $items = $this->catalogue->items(array_values(array_unique(array_column($lines, 1))));
        $rows = [];
        foreach ($lines as [$line, $code, $pieces]) {
            $item = $items[$code] ?? throw new LogicException("The catalogue has no item {$code}.");
            $expires = $item->dated ? PrintedDate::of(self::UNEXPIRED) : null;
            $rows[] = [new Row(null, $item, null, $expires, $pieces, Condition::Good), $line->anyoneMayUse];
        }

        return [new Supplies($day, $scope, array_values($items), $asked, $rows), $unserved];
    }

    /**
     * @param  list<array{Supplies, Scope, list<string>}>  $scopes  the lowest first, with the shifts that have it
     * @param  list<string>  $together
     * @param  Supplies  $full  all that the design plans, in the hands of the highest scope: what the kit is made for
     */
    private function resource(
        string $name, array $scopes, array $together, Supplies $full, int $unserved = 0, ?Supplies $planned = null,
    ): CopingResource {
        $coped = [];
        $asked = [];
        $unconfirmed = 0;
        foreach ($this->emergencies->all() as [$kept, $content]) {
            $asked[$kept->code] = [$content->asked($kept->code), $content, $kept->confirmed_at !== null];
            $unconfirmed += $kept->confirmed_at === null ? 1 : 0;
            $coped[] = $this->coped($asked[$kept->code][0], $content, $kept->confirmed_at !== null, $scopes, $full, $planned);
        }
        $both = array_intersect_key($asked, array_flip($together));

        return new CopingResource(
            $name, $scopes[0][1]->value, $unserved, count($coped), $unconfirmed, $coped,
            count($both) < 2 ? null : $this->together(array_values($both), $scopes, $full, $planned),
        );
    }

    /**
     * @param  list<array{Asked, EmergencyContent, bool}>  $both
     * @param  list<array{Supplies, Scope, list<string>}>  $scopes
     */
    private function together(array $both, array $scopes, Supplies $full, ?Supplies $planned): CopedResource
    {
        $needs = [];
        $titles = [];
        [$scope, $named, $helpers] = [Scope::Anyone, [], 0];
        foreach ($both as [$asked, $content]) {
            $scope = $asked->scope->isAbove($scope) ? $asked->scope : $scope;
            $named[] = $content->title;
            $helpers += $content->helpers;
            foreach ($asked->needs as $at => $need) {
                $needs[] = new Need("{$asked->code} {$need->id}", $need->quantity, $need->isReusable, $need->accepts);
                $titles[] = new NeedContent("{$asked->code} {$need->id}", "{$content->needs[$at]->title} ({$content->title})", 1, false, []);
            }
        }
        assert($needs !== []);

        return $this->coped(
            new Asked('together', $scope, $needs), new EmergencyContent(implode(' and ', $named), $scope, '', $titles, $helpers),
            ! in_array(false, array_column($both, 2), true), $scopes, $full, $planned,
        );
    }

    /** @param  list<array{Supplies, Scope, list<string>}>  $scopes */
    private function coped(
        Asked $asked, EmergencyContent $content, bool $isConfirmed, array $scopes, Supplies $full, ?Supplies $planned,
    ): CopedResource {
        $titles = array_column($content->needs, 'title', 'code');
        $limits = static fn (Coping $coping): array => array_map(
            static fn (string $id): LimitResource => new LimitResource($id, $titles[$id] ?? $id), $coping->limitedBy,
        );
        $each = array_map(static fn (array $scope): array => [$scope[0]->with($asked), $scope[1], $scope[2]], $scopes);
        // The lowest scope has the fewest: of those who may use least it is said first.
        [$least] = $each[0];
        $shifts = [];
        foreach ($each as [$coping, , $in]) {
            foreach ($in as $shift) {
                $shifts[] = new ShiftCopingResource($shift, $coping->casualties, $coping->because);
            }
        }
        usort($shifts, static fn (ShiftCopingResource $one, ShiftCopingResource $other): int => $one->shift <=> $other->shift);
        $differ = count(array_unique(array_map(static fn (ShiftCopingResource $one): string => "{$one->casualties} {$one->because}", $shifts))) > 1;

        return new CopedResource(
            $asked->code, $content->title, $asked->scope->value, $isConfirmed, $least->casualties, $least->because, array_values($limits($least)),
            $planned?->with($asked)->casualties, $differ ? $shifts : [], $content->helpers,
            $least->casualties > 0 || $full->with($asked)->casualties > 0,
        );
    }
}
