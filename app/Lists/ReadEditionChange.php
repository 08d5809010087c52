<?php

declare(strict_types=1);

namespace App\Lists;

use App\Catalogue\Catalogue;
use App\Catalogue\Measures;
use App\Designs\Models\Design;
use App\Judging\KitJudge;
use App\Kits\Models\Kit;
use App\Lists\Http\DesignEffect;
use App\Lists\Http\EditionChangeResource;
use App\Lists\Http\HomelessLine;
use App\Lists\Http\KitEffect;
use App\Lists\Http\LineChange;
use App\Lists\Http\PocketName;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Lists\KitList as CoreList;
use Sarcina\Core\Lists\Line as CoreLine;

/** Changes from one edition of a list to another, line by line, and what each kit would lack under it. */
final class ReadEditionChange
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly ListLoader $plans,
        private readonly Catalogue $catalogue,
        private readonly Measures $measures,
    ) {
    }

    public function __invoke(KitList $from, KitList $to, string $today): EditionChangeResource
    {
        $from->load(['lines.entries.item', 'lines.entries.minima', 'exclusions']);
        $to->load(['lines.entries.item', 'lines.entries.minima', 'exclusions']);
        // Designs that keep the edition, and those of which kits carry it as a module.
        $pouches = DB::table('pockets')
            ->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')
            ->where('pockets.module_list_id', $from->id)
            ->pluck('leaves.design_id')
            ->all();
        $designs = Design::query()
            ->where(fn ($query) => $query->where('list_id', $from->id)->orWhereIn('id', $pouches))
            ->with(['leaves.pockets'])
            ->orderBy('name')
            ->get();

        return new EditionChangeResource(
            ReadLists::edition($from),
            ReadLists::edition($to),
            $to->name(),
            $this->lines($from, $to),
            self::exclusions($from, $to),
            array_values($designs->map(fn (Design $design): DesignEffect => $this->effect($design, $from, $to, $today))->all()),
        );
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

    private function effect(Design $design, KitList $from, KitList $to, string $today): DesignEffect
    {
        $known = $from->lines->pluck('code')->all();
        $isModule = $design->list_id !== $from->id;
        // Lines of a module live in its pouch.
        $homeless = $to->lines->reject(fn (Line $line): bool => $isModule || in_array($line->code, $known, true));
        $pockets = [];
        foreach ($design->leaves as $leaf) {
            foreach ($leaf->pockets as $pocket) {
                if ($pocket->module_list_id === null) {
                    $pockets[] = new PocketName($pocket->id, "{$leaf->name}, {$pocket->name}");
                }
            }
        }
        $kits = Kit::query()
            ->where('design_id', $design->id)
            ->where('retired_on', null)
            ->when($isModule, fn ($query) => $query->whereHas('modules', fn ($modules) => $modules->where('list_id', $from->id)))
            ->with('modules')
            ->orderBy('code')
            ->get();

        return new DesignEffect(
            $design->id, $design->name, array_values($kits->map(fn (Kit $kit): KitEffect => $this->kit($kit, $from, $to, $today))->all()),
            array_values($homeless->map(fn (Line $line): HomelessLine => new HomelessLine($line->code, $line->need))->all()), $pockets,
        );
    }

    private function kit(Kit $kit, KitList $from, KitList $to, string $today): KitEffect
    {
        $judged = $this->judge->judge($kit, $today);
        $module = $kit->modules->firstWhere('list_id', $from->id);
        $name = $module === null ? '' : "{$module->module}.";
        $lines = array_values($to->lines->map(static fn (Line $line): CoreLine => ListLoader::line($line, $name))->all());
        $needs = $to->lines->mapWithKeys(static fn (Line $line): array => [$name.$line->code => $line->need])->all();
        foreach ($judged->plan->lines as $line) {
            // What the rest of the plan asks for stays as it is.
            if ($line->listId !== $from->id) {
                $lines[] = $line->asked;
                $needs[$line->code()] = $line->need;
            }
        }
        $as = $judged->judgement->assignment;
        $excludes = $module === null ? ListLoader::asked($to)->excludes : $judged->plan->excludes;
        $then = $this->plans->judge(new CoreList($to->code, $lines, $excludes), $as->contents, $as->kit, $as->policy, $as->asOf);
        $now = [];
        foreach ($judged->judgement->lines as $outcome) {
            $now[$outcome->line->id] = $outcome;
        }
        $lacks = [];
        foreach ($then->lines as $outcome) {
            $before = $now[$outcome->line->id] ?? null;
            if ($outcome->isShort && ($before === null || (string) $before->short !== (string) $outcome->short)) {
                $lacks[] = "{$needs[$outcome->line->id]}: {$outcome->effective} of {$outcome->required}".$this->toAdd($then, $outcome);
            }
        }
        $frees = array_values(array_diff(self::surplus($then), self::surplus($judged->judgement)));

        return new KitEffect(
            $kit->code,
            $kit->name,
            $judged->judgement->verdict->value,
            $then->verdict->value,
            $lacks,
            array_map($this->catalogue->name(...), $frees),
        );
    }

    private function toAdd(Judgement $then, LineOutcome $outcome): string
    {
        foreach ($then->restock as $restock) {
            if ($restock->line === $outcome->line->id) {
                $item = $this->plans->itemFor($then, $restock);

                return $item === null ? '' : ", to add {$restock->quantity} × {$this->catalogue->name($item)}";
            }
        }

        return '';
    }

    /** @return list<string> items of which more is there than any line takes */
    private static function surplus(Judgement $judgement): array
    {
        $items = [];
        foreach ($judgement->findings as $finding) {
            if ($finding->kind->value === 'surplus') {
                $items[] = (string) $finding->item?->code;
            }
        }

        return $items;
    }
}
