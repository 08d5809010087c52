<?php

declare(strict_types=1);

namespace App\Lists;

use App\Catalogue\Measures;
use App\Designs\Models\Design;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Judging\PlanPocket;
use App\Kits\Models\Kit;
use App\Lists\Http\DesignEffect;
use App\Lists\Http\EditionChangeResource;
use App\Lists\Http\HomelessLine;
use App\Lists\Http\KitEffect;
use App\Lists\Http\KitToFollow;
use App\Lists\Http\LineChange;
use App\Lists\Http\PocketName;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Changes from one edition of a list to another, line by line, and what each kit would lack under it. */
final class ReadEditionChange
{
    /** Of kits that have yet to follow. */
    private const SHOWN = 100;

    public function __construct(
        private readonly EffectsOfEdition $effects,
        private readonly KitPlans $plans,
        private readonly Measures $measures,
    ) {
    }

    public function __invoke(KitList $from, KitList $to, string $today): EditionChangeResource
    {
        $from->load(['lines.entries.item', 'lines.entries.limits', 'exclusions']);
        $to->load(['lines.entries.item', 'lines.entries.limits', 'exclusions']);
        $designs = $from->designs()->with('latest')->get();
        $concerned = $this->effects->count($from);
        // A request judges few kits: more are worked out by a worker (PreviewEdition).
        $isJudged = $concerned <= KitStates::AT_ONCE;

        return new EditionChangeResource(
            ReadLists::edition($from),
            ReadLists::edition($to),
            $to->name(),
            $this->lines($from, $to),
            self::exclusions($from, $to),
            array_values($designs->map(fn (Design $design): DesignEffect => $this->effect(
                $design, $to, $isJudged ? $this->effects->ofAll($design, $from, $to, $today) : [],
            ))->all()),
            $concerned,
            $isJudged,
            $this->toFollow($from)->count(),
            array_values($this->toFollow($from)->limit(self::SHOWN)->get()
                ->map(static fn (Kit $kit): KitToFollow => new KitToFollow($kit->code, $kit->name))->all()),
        );
    }

    /** @return Builder<Kit> */
    private function toFollow(KitList $from): Builder
    {
        return Kit::query()->where('retired_on', null)
            ->whereHas('edition', fn ($kept) => $kept->where('list_id', $from->id)
                ->whereNotIn('design_id', $from->designs()->pluck('designs.id')->all()))
            ->orderBy('code');
    }

    /** @return list<LineChange> */
    private function lines(KitList $from, KitList $to): array
    {
        $before = $from->lines->keyBy('code');
        $changes = [];
        foreach ($to->lines as $line) {
            $was = $before->pull($line->code);
            $texts =
                $was === null
                    ? [ReadLists::asked($line).", {$line->rank->value}: ".implode('; ', $this->accepted($line))]
                    : $this->differences($was, $line);
            $changes[] = new LineChange($line->code, $was === null ? 'added' : ($texts === [] ? 'same' : 'changed'), $line->need, $texts);
        }
        foreach ($before as $line) {
            $changes[] = new LineChange($line->code, 'dropped', $line->need, ['Asked for '.ReadLists::asked($line).'.']);
        }

        return $changes;
    }

    /** @return list<string> */
    private function differences(Line $was, Line $is): array
    {
        $texts = [];
        if ($was->need !== $is->need) {
            $texts[] = "Called \"{$was->need}\" before.";
        }
        if (ReadLists::asked($was) !== ReadLists::asked($is)) {
            $texts[] = ReadLists::asked($was).' before, now '.ReadLists::asked($is).'.';
        }
        if ($was->rank !== $is->rank) {
            $texts[] = ucfirst($was->rank->value)." before, now {$is->rank->value}.";
        }
        [$before, $now] = [$this->accepted($was), $this->accepted($is)];
        foreach (array_diff($now, $before) as $entry) {
            $texts[] = "Accepts {$entry} besides.";
        }
        foreach (array_diff($before, $now) as $entry) {
            $texts[] = "No longer accepts {$entry}.";
        }
        if ($before !== $now && array_diff($now, $before) === [] && array_diff($before, $now) === []) {
            $texts[] = 'Accepts the same in another order: '.implode('; ', $now).'.';
        }

        return $texts;
    }

    /** @return list<string> */
    private function accepted(Line $line): array
    {
        return array_values($line->entries->map($this->measures->accepted(...))->all());
    }

    /** @return list<string> */
    private static function exclusions(KitList $from, KitList $to): array
    {
        [$before, $now] = [$from->exclusions->pluck('class')->all(), $to->exclusions->pluck('class')->all()];

        return [
            ...array_values(array_map(static fn (string $class): string => "Now excludes {$class}.", array_diff($now, $before))),
            ...array_values(array_map(static fn (string $class): string => "No longer excludes {$class}.", array_diff($before, $now))),
        ];
    }

    /** @param  list<KitEffect>  $effects */
    private function effect(Design $design, KitList $to, array $effects): DesignEffect
    {
        $latest = EffectsOfEdition::latest($design);
        $placed = DB::table('placements')->where('design_edition_id', $latest->id)->pluck('line_code')->all();
        $plan = $this->plans->of($latest->id);
        // Where there is only one pocket, everything goes into it.
        $homeless = count($plan->pockets) < 2 ? collect() : $to->lines->reject(static fn (Line $line): bool => in_array($line->code, $placed, true));

        return new DesignEffect(
            $design->id,
            $design->name,
            $latest->number,
            $effects,
            array_values($homeless->map(static fn (Line $line): HomelessLine => new HomelessLine($line->code, $line->need))->all()),
            array_values(array_map(
                static fn (PlanPocket $pocket): PocketName => new PocketName($pocket->id, "{$pocket->leaf}, {$pocket->name}"),
                $plan->pockets,
            )),
        );
    }
}
