<?php

declare(strict_types=1);

namespace App\Kits;

use App\Builds\Http\OpenBuild;
use App\Builds\Models\Build;
use App\Catalogue\Catalogue;
use App\Checks\CheckNotes;
use App\Designs\Http\DesignEditionRef;
use App\Judging\Judged;
use App\Judging\KitJudge;
use App\Judging\KitPlan;
use App\Judging\KitPlanLine;
use App\Judging\OfferedJob;
use App\Judging\PlanLeaf;
use App\Judging\PlanPart;
use App\Judging\PlanPocket;
use App\Judging\Words;
use App\Kits\Http\BaseResource;
use App\Kits\Http\ContentResource;
use App\Kits\Http\DueResource;
use App\Kits\Http\ExceptionResource;
use App\Kits\Http\KitResource;
use App\Kits\Http\LeafResource;
use App\Kits\Http\LookedForResource;
use App\Kits\Http\ModuleOf;
use App\Kits\Http\ModuleResource;
use App\Kits\Http\PlaceRef;
use App\Kits\Http\PlannedLine;
use App\Kits\Http\PocketResource;
use App\Kits\Http\SealResource;
use App\Kits\Models\Kit;
use App\Ledger\Head;
use App\Ledger\KitHistory;
use App\Ledger\PieceCondition;
use App\Lists\Http\ListRef;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Due\Seal;
use stdClass;

/** A kit with its picture, contents, verdict, place and last check. */
final class ReadKit
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly ReadVerdict $verdict,
        private readonly Words $words,
        private readonly Catalogue $catalogue,
        private readonly PlacesAbove $places,
        private readonly CheckNotes $notes,
    ) {
    }

    public function __invoke(Kit $kit, string $today): KitResource
    {
        // Read before the contents: what is recorded in between counts as not seen.
        $base = BaseResource::of(Head::read()->base());
        $judged = $this->judge->judge($kit, $today);
        [$last, $notes] = $this->notes->withLastCheck($kit);
        [$later, $alike] = self::alike($kit, $judged->plan, $today);

        return new KitResource(
            $kit->id,
            $kit->code,
            $kit->name,
            $judged->plan->code,
            $judged->plan->name,
            new DesignEditionRef($judged->plan->editionId, $judged->plan->number, $judged->plan->list->edition),
            $later,
            $kit->parent === null ? null : new ModuleOf($kit->parent->code, $kit->parent->name),
            self::modules($judged->plan),
            self::list($judged->plan),
            $this->place($kit->place_id),
            $judged->usedBy()->value,
            $judged->scope->because($judged->usedBy()),
            $kit->retired_on,
            $judged->plan->policy->sealed,
            self::seal($kit),
            $kit->used_on,
            $base,
            ($this->verdict)($judged),
            $this->due($judged),
            self::leaves($judged->plan),
            $this->contents($judged),
            $last,
            $notes,
            self::planned($judged->plan, Day::of($today)),
            $alike[0],
            $alike[1],
            $alike[2],
            self::build($kit),
            OfferedJob::ofJudged($judged, $today),
        );
    }

    private static function build(Kit $kit): ?OpenBuild
    {
        $build = $kit->build_id === null ? null : Build::query()->with(['begunBy', 'leftBy', 'takenBy'])->find($kit->build_id);

        $instant = static fn (?string $at): ?string => $at === null ? null : KitHistory::said($at);

        return $build === null ? null : new OpenBuild(
            $build->id, $build->begunBy->name, (string) $instant($build->begun_at), $build->leftBy?->name, $instant($build->left_at),
            $build->left_note, $build->pockets_packed, $build->pockets, $build->taken_by_id, $build->takenBy?->name, $instant($build->taken_at),
        );
    }

    private static function seal(Kit $kit): SealResource
    {
        // The number of a whole seal is read from the kit: a page that shows it would let it be typed without looking.
        $number = $kit->seal === Seal::Intact ? null : $kit->seal_number;

        return new SealResource($kit->seal->value, $number, $kit->seal_broken_on, $kit->seal_broken_reason);
    }

    /** @return list<ModuleResource> */
    private static function modules(KitPlan $plan): array
    {
        $slots = [];
        foreach ($plan->slots as $slot) {
            $slots[$slot->id] = $slot->name;
        }

        return array_map(static fn (PlanPart $part): ModuleResource => new ModuleResource(
            $part->kit?->code, $part->kit?->id, $part->kit->name ?? $part->plan->name, $slots[$part->slotId ?? ''] ?? null,
            $part->plan->policy->sealed, $part->kit === null ? null : self::seal($part->kit), $part->kit?->last_full_on,
        ), array_slice($plan->parts, 1));
    }

    /** @return list<PlannedLine> what its design plans and does not ask for yet */
    private static function planned(KitPlan $plan, Day $today): array
    {
        return array_values(array_map(static fn (KitPlanLine $line): PlannedLine => new PlannedLine(
            $line->code(), $line->need, $line->pocketId, $line->from === null ? null : (string) $line->from, $line->waitsFor,
        ), array_filter($plan->lines, static fn (KitPlanLine $line): bool => ! $line->isAskedOn($today))));
    }

    /**
     * How it stands to its design, read at once.
     *
     * @return array{DesignEditionRef|null, array{string|null, list<string>, ExceptionResource|null}} a later edition; what it is set to, what
     *                                                                                                it may be set to, how it differs on purpose
     */
    private static function alike(Kit $kit, KitPlan $plan, string $today): array
    {
        $none = 'NULL AS reason, NULL AS ends_on, NULL AS made_on, NULL AS maker';
        $rows = DB::table('configurations')->where('design_edition_id', $kit->design_edition_id)
            ->selectRaw("'configuration' AS what, configurations.id, configurations.name, {$none}")
            ->unionAll(DB::table('kit_exceptions')->join('users', 'users.id', '=', 'kit_exceptions.made_by_id')->where('kit_id', $kit->id)
                ->whereNull('ended_on')->selectRaw("'exception', kit_exceptions.id, kit_exceptions.name, reason, ends_on, made_on, users.name"))
            ->unionAll(DB::table('design_editions')->join('lists', 'lists.id', '=', 'design_editions.list_id')
                ->where('design_id', $plan->designId)->where('number', '>', $plan->number)->whereNotNull('published_at')
                ->selectRaw("'later', design_editions.id, lists.edition, number, NULL, NULL, NULL"))
            ->get()->groupBy('what');
        $later = $rows->get('later')?->sortByDesc(static fn (stdClass $row): int => (int) $row->reason)->first();
        $configurations = $rows->get('configuration')?->sortBy('name')->pluck('name', 'id')->all() ?? [];
        /** @var stdClass|null $one */
        $one = $rows->get('exception')?->sortByDesc('ends_on')->first();

        return [$later === null ? null : new DesignEditionRef($later->id, (int) $later->reason, $later->name), [
            isset($configurations[$kit->configuration_id ?? '']) ? (string) $configurations[$kit->configuration_id ?? ''] : null,
            array_values(array_map(strval(...), $configurations)),
            $one === null ? null : new ExceptionResource(
                $one->id, $one->name, $one->reason, $one->ends_on, $one->maker, $one->made_on, $one->ends_on < $today,
            ),
        ]];
    }

    public function due(Judged $judged): DueResource
    {
        $due = $judged->due();

        $asks = $judged->dueIn === null || $due->day === null ? '' : " The module {$judged->dueIn} asks for it.";

        return new DueResource(
            $due->day === null ? null : (string) $due->day, $due->kind, $due->because, $due->overdueDays, $this->words->due($due).$asks,
        );
    }

    private function place(string $id): PlaceRef
    {
        $place = $this->places->of($id);

        return new PlaceRef($place->id, $place->name, $place->path);
    }

    public static function list(KitPlan $plan): ListRef
    {
        return new ListRef(
            $plan->list->id,
            $plan->list->code,
            $plan->list->title,
            $plan->list->size,
            $plan->list->edition,
            $plan->list->basis,
            $plan->list->origin,
            $plan->list->confirmed,
        );
    }

    /** @return list<LeafResource> */
    public static function leaves(KitPlan $plan): array
    {
        return array_map(
            static fn (PlanLeaf $leaf): LeafResource => new LeafResource(
                $leaf->name,
                array_map(
                    static fn (PlanPocket $pocket): PocketResource => new PocketResource(
                        $pocket->id, $pocket->name, $pocket->row, $pocket->column, $pocket->rowSpan, $pocket->columnSpan, $pocket->caution,
                        $pocket->properties, self::lookedFor($plan, $pocket),
                    ),
                    $leaf->pockets,
                ),
            ),
            $plan->leaves,
        );
    }

    /** @return list<LookedForResource> */
    private static function lookedFor(KitPlan $plan, PlanPocket $pocket): array
    {
        $looked = [];
        foreach ($plan->lines as $line) {
            $own = substr($line->code(), (int) strrpos(".{$line->code()}", '.'));
            $isOfPart = str_contains($pocket->id, '.') === str_contains($line->code(), '.');
            if ($isOfPart && $line->pocketId !== null && in_array($own, $pocket->lookedFor, true)) {
                $looked[] = new LookedForResource($line->need, $plan->pocketName($line->pocketId));
            }
        }

        return $looked;
    }

    /** @return list<ContentResource> */
    private function contents(Judged $judged): array
    {
        $contents = [];
        $shown = new ShownUnder($judged);
        $order = self::useOrder($judged);
        foreach ($judged->rows as $index => $row) {
            $item = $this->catalogue->item($row->itemCode);
            $condition = PieceCondition::of($row->condition);
            $judgedRow = $judged->recorded->assignment->counted[$index];
            $last = $judgedRow->lastGoodDay();
            $contents[] = new ContentResource(
                $row->pocketId,
                $shown->line($index),
                $row->itemCode,
                $item->name ?? $row->itemCode,
                $item->purpose ?? '',
                $item?->caution,
                $item->count_unit ?? 'each',
                (bool) ($item->dated ?? false),
                $row->lotId,
                $row->lot,
                $row->expires,
                $last === null ? null : (string) $last,
                $row->quantity,
                $condition->condition->value,
                $condition->openedOn,
                $judgedRow->item->afterOpeningDays,
                $judgedRow->isInUse(),
                isset($item->start_minutes) ? (int) $item->start_minutes : null,
                $item?->class,
                (bool) ($item->comes_back ?? false),
                $order[$index],
            );
        }

        return $contents;
    }

    /** @return array<int, int> the rank of each row by its last good day; rows without one come last */
    private static function useOrder(Judged $judged): array
    {
        $counted = $judged->recorded->assignment->counted;
        $days = array_map(static fn (int $row): string => (string) ($counted[$row]->lastGoodDay() ?? '9'), array_keys($judged->rows));
        asort($days);

        return array_flip(array_keys($days));
    }
}
