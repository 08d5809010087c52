<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\PlacedLine;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Lists\Models\Line;
use App\Lists\WriteList;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Writes the next edition of a design and publishes it. Kits keep the one that they have until somebody adopts this for them. */
final class PublishEdition
{
    public function __construct(private readonly WriteList $lists, private readonly KitPlans $plans, private readonly KitStates $states)
    {
    }

    /** @param  string|null  $id  that the edition gets; null: any */
    public function __invoke(Design $design, EditionContent $content, CarbonInterface $at, ?string $id = null): DesignEdition
    {
        return Transaction::run(function () use ($design, $content, $at, $id): DesignEdition {
            // Of two at once the second gets the next number.
            Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $edition = DesignEdition::query()->create([
                ...($id === null ? [] : ['id' => $id]),
                'design_id' => $design->id,
                'number' => (int) DesignEdition::query()->where('design_id', $design->id)->max('number') + 1,
                'list_id' => $content->listId,
                ...$content->policy->columns(),
            ]);
            foreach ($content->seasons as $day) {
                $edition->seasons()->create(['month_day' => $day]);
            }
            foreach ($content->modules as $module) {
                $edition->modules()->create(['module' => $module]);
            }
            $this->additions($edition, $content);
            $written = [];
            $this->compartments($edition, $content->leaves, null, '', $written);
            $this->configurations($edition, $content, $written);
            foreach ($content->setAside as $subject => $reason) {
                DB::table('set_aside')->insert(['design_edition_id' => $edition->id, 'subject' => $subject, 'reason' => $reason]);
            }
            $edition->update(['published_at' => $at->toImmutable()->utc()->format('Y-m-d H:i:s')]);
            $design->unsetRelations();
            $this->plans->forget();
            // What a slot asks for and has not is judged by the latest edition.
            $waiting = DB::table('kits')->whereIn('design_edition_id', DB::table('compartments')->where('slot_design_id', $design->id)
                ->select('design_edition_id'))->pluck('id');
            if ($waiting->isNotEmpty()) {
                $this->states->mark(array_values(array_map(strval(...), $waiting->all())));
            }

            return $edition;
        });
    }

    private function additions(DesignEdition $edition, EditionContent $content): void
    {
        $items = DB::table('items')->pluck('id', 'code')->all();
        foreach ($content->additions as $position => $addition) {
            $line = Line::query()->create(['design_edition_id' => $edition->id, 'position' => $position, ...$addition->columns()]);
            $this->lists->entries($line, $addition->accepts, $items);
        }
    }

    /**
     * @param  list<CompartmentContent>  $compartments
     * @param  array<string, string>  $written  ids by path
     */
    private function compartments(DesignEdition $edition, array $compartments, ?string $parent, string $before, array &$written): void
    {
        $known = DB::table('pockets')->where('design_id', $edition->design_id)->pluck('id')->all();
        $designs = DB::table('designs')->whereIn('code', array_filter(array_map(
            static fn (CompartmentContent $one): ?string => $one->slotDesign,
            $compartments,
        )))->pluck('id', 'code')->all();
        foreach ($compartments as $position => $one) {
            $id = $one->id;
            $id ??= Str::lower((string) Str::ulid());
            if (! in_array($id, $known, true)) {
                DB::table('pockets')->insert(['id' => $id, 'design_id' => $edition->design_id]);
            }
            DB::table('compartments')->insert([
                'design_edition_id' => $edition->id, 'pocket_id' => $id, 'parent_id' => $parent, 'within' => (string) $parent,
                'kind' => $one->kind, 'name' => $one->name,
                'position' => $position, 'row' => $one->row, 'column' => $one->column, 'row_span' => $one->rowSpan,
                'column_span' => $one->columnSpan, 'closure' => $one->closure, 'is_outside' => $one->isOutside, 'is_sealed' => $one->isSealed,
                'caution' => $one->caution, 'properties' => implode(',', $one->properties),
                'slot_design_id' => $one->slotDesign === null ? null : $designs[$one->slotDesign],
                'max_mass_g' => $one->maxMass, 'volume_ml' => $one->volume,
            ]);
            DB::table('looked_for')->insert(array_map(static fn (string $line): array => [
                'design_edition_id' => $edition->id, 'pocket_id' => $id, 'line_code' => $line,
            ], $one->lookedFor));
            $place = (int) DB::table('placements')->where('design_edition_id', $edition->id)->max('position');
            DB::table('placements')->insert(array_map(static fn (PlacedLine $line, int $index): array => [
                'design_edition_id' => $edition->id, 'line_code' => $line->code, 'pocket_id' => $id, 'position' => $place + $index + 1,
                'quantity' => $line->quantity, 'from_day' => $line->fromDay, 'waits_for' => $line->waitsFor,
            ], $one->lines, array_keys($one->lines)));
            $path = $before === '' ? $one->name : "{$before}, {$one->name}";
            $written[$path] = $id;
            $this->compartments($edition, $one->inside, $id, $path, $written);
        }
    }

    /** @param  array<string, string>  $written  ids by path */
    private function configurations(DesignEdition $edition, EditionContent $content, array $written): void
    {
        foreach ($content->configurations as $one) {
            $id = Str::lower((string) Str::ulid());
            DB::table('configurations')->insert(['id' => $id, 'design_edition_id' => $edition->id, 'name' => $one->name]);
            DB::table('configuration_parts')->insert([
                ...array_map(static fn (string $code): array => ['configuration_id' => $id, 'line_code' => $code, 'slot_id' => null], $one->lines),
                ...array_map(
                    static fn (string $slot): array => ['configuration_id' => $id, 'line_code' => null, 'slot_id' => $written[$slot]],
                    $one->slots,
                ),
            ]);
        }
    }
}
