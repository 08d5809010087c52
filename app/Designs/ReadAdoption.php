<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Catalogue;
use App\Catalogue\Prices;
use App\Judging\ContentRow;
use App\Judging\Judged;
use App\Judging\KitContents;
use App\Judging\KitJudge;
use App\Judging\KitPlan;
use App\Kits\Models\Kit;
use App\Kits\ShownUnder;
use App\Lists\ListLoader;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Advice\Wanted;
use Sarcina\Core\Check\Judgement;

/** What a kit would have added, moved and removed if it followed another edition of its design, or another design. */
final class ReadAdoption
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly KitContents $contents,
        private readonly ListLoader $lists,
        private readonly Catalogue $catalogue,
        private readonly Prices $prices,
    ) {
    }

    /** @param  KitPlan  $then  of the kit with its modules, under the other edition */
    public function __invoke(Kit $kit, KitPlan $then, string $today): AdoptionEffect
    {
        $now = $this->judge->judge($kit, $today, $this->contents->of($kit));
        $moved = $this->moves($kit, $now, $then, $today);
        $after = $this->judge->byPlan($kit, $then, $today, self::after($now->rows, $moved));

        [$removed, $toRemove] = $this->removed($now->atBest(), $after->atBest());
        $toAdd = $this->piecesToAdd($after);
        [$cost, $withoutPrice] = $this->prices->byThePiece($toAdd);

        return new AdoptionEffect(
            $now->verdict(),
            $after->verdict(),
            $this->added($now, $after),
            array_values($moved),
            $removed,
            $now->judgement->mass,
            $after->judgement->mass + $this->mass($toAdd) - $this->mass($toRemove),
            $cost,
            $withoutPrice,
        );
    }

    /**
     * What lies where its line lives goes where its line lives then; what lies in a pocket that is no longer there goes into the first one.
     *
     * @return array<int, PocketMove> by row
     */
    public function moves(Kit $kit, Judged $now, KitPlan $then, string $today): array
    {
        $homes = [];
        foreach ($then->lines as $line) {
            $homes[$line->code()] = $line->pocketId;
        }
        $lines = $then->designId === $now->plan->designId
            ? array_map((new ShownUnder($now))->line(...), array_keys($now->rows))
            : $this->linesUnder($kit, $now, $then, $today);
        $moves = [];
        foreach ($now->rows as $index => $row) {
            $line = $lines[$index];
            $to = $line === null || ! array_key_exists($line, $homes) ? $row->pocketId : $homes[$line] ?? $row->pocketId;
            if (! isset($then->pockets[$to])) {
                $to = (string) array_key_first($then->pockets);
            }
            if ($to !== $row->pocketId) {
                [$from, $into] = [$now->plan->pocketName($row->pocketId), $then->pocketName($to)];
                $what = "{$row->quantity} × {$this->catalogue->name($row->itemCode)}";
                $moves[$index] = new PocketMove($row, $from, $to, $into, "{$what}: from {$from} to {$into}");
            }
        }

        return $moves;
    }

    /**
     * Lines and pockets of another design are other ones, whatever they are called: a row belongs to the line that most of its pieces
     * would count for.
     *
     * @return list<string|null> by row
     */
    private function linesUnder(Kit $kit, Judged $now, KitPlan $then, string $today): array
    {
        $first = (string) array_key_first($then->pockets);
        $rows = array_map(static fn (ContentRow $row): ContentRow => $row->in($first), $now->rows);
        $lines = array_fill(0, count($rows), null);
        $most = [];
        foreach ($this->judge->byPlan($kit, $then, $today, $rows)->atBest()->lines as $outcome) {
            foreach ($outcome->placed as $placed) {
                if ($placed->quantity > ($most[$placed->row] ?? 0)) {
                    [$most[$placed->row], $lines[$placed->row]] = [$placed->quantity, $outcome->line->id];
                }
            }
        }

        return array_values($lines);
    }

    /**
     * @param  list<ContentRow>  $rows
     * @param  array<int, PocketMove>  $moved
     * @return list<ContentRow>
     */
    private static function after(array $rows, array $moved): array
    {
        return array_map(
            static fn (ContentRow $row, int $index): ContentRow => isset($moved[$index]) ? $row->in($moved[$index]->to) : $row,
            $rows,
            array_keys($rows),
        );
    }

    /**
     * What it would lack then, whoever is posted: that nobody may use what lies there is no reason to put in more of it.
     *
     * @return list<string>
     */
    private function added(Judged $now, Judged $then): array
    {
        $before = [];
        foreach ($now->atBest()->lines as $outcome) {
            $before[$outcome->line->id] = $outcome;
        }
        $wanted = [];
        foreach ((new Advice($then->atBest()))->wanted() as $want) {
            $wanted[$want->line->id ?? ''] = $want;
        }
        $added = [];
        foreach ($then->atBest()->lines as $outcome) {
            $was = $before[$outcome->line->id] ?? null;
            if ($outcome->isShort && ($was === null || (string) $was->short !== (string) $outcome->short)) {
                $need = $then->plan->line($outcome->line->id)->need;
                $toAdd = $this->toAdd($then->atBest(), $wanted[$outcome->line->id] ?? null);
                $added[] = "{$need}: {$outcome->effective} of {$outcome->required}{$toAdd}";
            }
        }

        return $added;
    }

    private function toAdd(Judgement $then, ?Wanted $want): string
    {
        if ($want === null) {
            return '';
        }
        $item = $this->itemFor($then, $want);

        return $item === null ? '' : ", to add {$want->pieces} × {$this->catalogue->name($item)}";
    }

    /** @return array<string, int> pieces by item */
    private function piecesToAdd(Judged $then): array
    {
        $pieces = [];
        foreach ((new Advice($then->atBest()))->wanted() as $want) {
            $item = $this->itemFor($then->atBest(), $want);
            if ($item !== null) {
                $pieces[$item] = ($pieces[$item] ?? 0) + $want->pieces;
            }
        }

        return $pieces;
    }

    /** @param  array<string, int>  $pieces  by item */
    private function mass(array $pieces): int
    {
        $mass = 0;
        foreach ($this->catalogue->items(array_map(strval(...), array_keys($pieces))) as $code => $item) {
            $mass += $pieces[$code] * $item->mass;
        }

        return $mass;
    }

    private function itemFor(Judgement $then, Wanted $want): ?string
    {
        return $want->item ?? ($want->line === null ? null : $this->lists->itemOn($then, $want->line));
    }

    /** @return array{list<string>, array<string, int>} "2 × Foil blanket", and the pieces by item */
    private function removed(Judgement $now, Judgement $then): array
    {
        [$before, $after] = [self::unplaced($now), self::unplaced($then)];
        [$removed, $count] = [[], []];
        foreach ($after as $item => $pieces) {
            $more = $pieces - ($before[$item] ?? 0);
            if ($more > 0) {
                $removed[] = "{$more} × {$this->catalogue->name((string) $item)}";
                $count[(string) $item] = $more;
            }
        }

        return [$removed, $count];
    }

    /** @return array<string, int> pieces that no line takes, by item */
    private static function unplaced(Judgement $judgement): array
    {
        $left = [];
        foreach ($judgement->assignment->contents as $index => $row) {
            $left[$row->item->code] = ($left[$row->item->code] ?? 0) + $row->quantity;
        }
        foreach ($judgement->lines as $outcome) {
            foreach ($outcome->placed as $placed) {
                $left[$judgement->assignment->contents[$placed->row]->item->code] -= $placed->quantity;
            }
        }

        return $left;
    }
}
