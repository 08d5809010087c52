<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\ConfigurationContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Models\Design;
use App\Lists\EntryContent;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Lists\Accepted;
use stdClass;

/** A design as somebody packs it, before it is published: the plan that its kits would be judged by. */
final class DraftPlan
{
    public function __construct(private readonly Catalogue $catalogue, private readonly ReadPlan $read)
    {
    }

    /** @param  Design|null  $design  null: it is a new one */
    public function __invoke(?Design $design, EditionContent $content, ?string $configuration = null): KitPlan
    {
        /** @var stdClass $list */
        $list = DB::table('lists')->where('id', $content->listId)->first();
        $designs = DB::table('designs')->get(['id', 'code', 'name'])->keyBy('code');
        $compartments = new Collection(self::rows($content->leaves, null));
        $leaves = ReadPlan::leaves($compartments);
        $pockets = [];
        foreach ($leaves as $leaf) {
            foreach ($leaf->pockets as $pocket) {
                $pockets[$pocket->id] = $pocket;
            }
        }
        [$offLines, $offSlots] = self::switchedOff($content, $configuration);
        [$rows, $entries, $named] = $this->lines($content, $offLines);

        return new KitPlan(
            'draft', 0, $design->id ?? 'draft', $design->code ?? 'draft', $design->name ?? 'Draft', $content->policy->emptyMass ?? 0,
            $content->policy->maxMass, self::policy($content),
            ReadPlan::keptList($list, (string) $list->edition),
            $this->read->excluded($content->listId),
            PlanLines::of($rows, $entries, self::placements($content->leaves), $pockets, $design === null ? [] : ReadPlan::begun($design->id)),
            $pockets, $leaves, $this->catalogue->items($named),
            array_values($compartments->where('kind', 'slot')->reject(static fn (stdClass $one): bool => in_array($one->path, $offSlots, true)
                || ! $designs->has($one->slot_design))->map(static fn (stdClass $one): PlanSlot => new PlanSlot(
                    $one->pocket_id, $one->name, (string) $designs->get($one->slot_design)?->id, (string) $designs->get($one->slot_design)?->name,
                ))->all()),
            isEmptyMassKnown: $content->policy->emptyMass !== null,
        );
    }

    /**
     * @param  list<CompartmentContent>  $compartments
     * @return list<stdClass> as the table has them
     */
    private static function rows(array $compartments, ?string $parent, string $before = ''): array
    {
        $rows = [];
        foreach ($compartments as $one) {
            $path = $before === '' ? $one->name : "{$before}, {$one->name}";
            $rows[] = (object) [
                'pocket_id' => (string) $one->id, 'parent_id' => $parent, 'kind' => $one->kind, 'name' => $one->name, 'row' => $one->row,
                'column' => $one->column, 'row_span' => $one->rowSpan, 'column_span' => $one->columnSpan, 'slot_design' => $one->slotDesign,
                'path' => $path, 'caution' => $one->caution, 'properties' => implode(',', $one->properties), 'looked_for' => $one->lookedFor,
            ];
            array_push($rows, ...self::rows($one->inside, (string) $one->id, $path));
        }

        return $rows;
    }

    /**
     * @param  list<CompartmentContent>  $leaves
     * @return Collection<int, stdClass>
     */
    private static function placements(array $leaves): Collection
    {
        $rows = [];
        foreach (CompartmentContent::byPath($leaves) as $one) {
            foreach ($one->lines as $line) {
                $rows[] = (object) [
                    'line_code' => $line->code, 'pocket_id' => (string) $one->id, 'position' => count($rows) + 1, 'quantity' => $line->quantity,
                    'from_day' => $line->fromDay, 'waits_for' => $line->waitsFor,
                ];
            }
        }

        return new Collection($rows);
    }

    /** @return array{list<string>, list<string>} codes of lines and paths of slots that another configuration switches on */
    private static function switchedOff(EditionContent $content, ?string $configuration): array
    {
        $off = [[], []];
        foreach ($content->configurations as $one) {
            if ($one->name !== $configuration) {
                $off = [[...$off[0], ...$one->lines], [...$off[1], ...$one->slots]];
            }
        }
        $on = array_filter($content->configurations, static fn (ConfigurationContent $one): bool => $one->name === $configuration);
        foreach ($on as $one) {
            $off = [array_diff($off[0], $one->lines), array_diff($off[1], $one->slots)];
        }

        return [array_values($off[0]), array_values($off[1])];
    }

    /**
     * @param  list<string>  $off
     * @return array{Collection<int, stdClass>, array<string, list<Accepted>>, list<string>}
     */
    private function lines(EditionContent $content, array $off): array
    {
        $listed = DB::table('lines')->where('list_id', $content->listId)->orderBy('position')->get()
            ->reject(static fn (stdClass $line): bool => in_array($line->code, $off, true));
        [$entries, $named] = $this->read->entries($listed->pluck('id')->all());
        $rows = array_values($listed->all());
        foreach ($content->additions as $line) {
            if (in_array($line->code, $off, true)) {
                continue;
            }
            $rows[] = (object) ['id' => "draft {$line->code}", 'list_id' => null, ...$line->columns()];
            $entries["draft {$line->code}"] = array_map(static fn (EntryContent $entry): Accepted => $entry->accepted(), $line->accepts);
            array_push($named, ...array_filter(array_map(static fn (EntryContent $entry): ?string => $entry->item, $line->accepts)));
        }

        return [new Collection($rows), $entries, array_values(array_unique($named))];
    }

    private static function policy(EditionContent $content): CheckPolicy
    {
        $policy = $content->policy;

        return new CheckPolicy(
            $policy->expiry, $policy->marginDays, $policy->graceDays, CheckPolicy::interval($policy->everyUnit, $policy->everyCount),
            array_map(SeasonDay::of(...), $content->seasons), $policy->beforeEvents, $policy->afterUse, $policy->sealed, $policy->notReadyAfterDays,
        );
    }
}
