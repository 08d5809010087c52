<?php

declare(strict_types=1);

namespace App\Judging;

use App\Models\KitList;
use App\Models\Line;
use App\Models\LineEntry;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Restock;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitReader;
use Sarcina\Core\Kit\Item;

/** Lists by themselves, without a kit: as the formats write them, and what a kit made to one would hold. */
final class ListPlans
{
    public function __construct(private readonly Catalogue $catalogue, private readonly Fitting $fitting)
    {
    }

    /** @return array<string, mixed> as in `sarcina.kit/1` */
    public static function document(KitList $list): array
    {
        return [
            'code' => $list->code,
            'excludes' => array_values($list->exclusions->pluck('class')->all()),
            'lines' => array_values($list->lines->map(self::line(...))->all()),
        ];
    }

    /** @return array<string, mixed> as in `sarcina.kit/1` */
    public static function line(Line $line): array
    {
        return [
            'id' => $line->code,
            ...($line->total_quantity === null ? ['quantity' => $line->quantity] : ['total' => [(string) $line->total_measure => $line->total_quantity]]),
            'rank' => $line->rank,
            'accepts' => array_values($line->entries->map(static fn (LineEntry $entry): array => $entry->item !== null ? ['item' => $entry->item->code] : [
                'class' => $entry->class, ...($entry->minima->isEmpty() ? [] : ['min' => $entry->minima->pluck('quantity', 'measure')->all()]),
            ])->all()),
        ];
    }

    /**
     * Judges contents against a list, as the `check` rule does.
     *
     * @param  array<string, mixed>  $list  as in `sarcina.kit/1`
     * @param  list<array<string, mixed>>  $contents  as in `sarcina.kit/1`
     * @param  array<string, mixed>  $kit  as in `sarcina.kit/1`
     * @param  array<string, mixed>  $policy  as in `sarcina.kit/1`
     *
     * @throws \Sarcina\Core\Format\InvalidDocument
     */
    public function judge(array $list, array $contents, array $kit, array $policy, string $asOf): Judgement
    {
        $codes = array_map(static fn (array $row): mixed => $row['item'], $contents);
        foreach (is_array($list['lines']) ? $list['lines'] : [] as $line) {
            foreach (is_array($line) && is_array($line['accepts']) ? $line['accepts'] : [] as $entry) {
                $codes[] = is_array($entry) ? $entry['item'] ?? null : null;
            }
        }
        $codes = array_values(array_unique(array_filter($codes, is_string(...))));

        return Judge::judge(KitReader::read(Json::read(Json::write([
            'format' => KitReader::FORMAT, 'as_of' => $asOf, 'kit' => $kit, 'policy' => $policy, 'items' => array_values($this->catalogue->documents($codes)), 'list' => $list, 'contents' => $contents,
        ]))));
    }

    /**
     * What a kit made to the list would hold: for every line the pieces of the item that the `check` rule restocks it with,
     * or, where a line names a class alone, of an item of the catalogue that fits.
     *
     * @param  array<string, mixed>  $list  as in `sarcina.kit/1`
     * @return array{array<string, int>, int} pieces by item code, and lines that nothing in the catalogue serves
     */
    public function outfit(array $list): array
    {
        $judgement = $this->judge($list, [], ['code' => 'new', 'scope' => 'clinician'], ['expiry' => 'strict', 'next_check' => '2000-01-01'], '2000-01-01');
        $pieces = [];
        $without = 0;
        foreach ($judgement->restock as $restock) {
            $item = $this->itemFor($judgement, $restock);
            if ($item === null) {
                $without++;
            } else {
                $pieces[$item] = ($pieces[$item] ?? 0) + $restock->quantity;
            }
        }

        return [$pieces, $without];
    }

    /** The item that the rule names, or one that fits the line where it names only a class. */
    public function itemFor(Judgement $judgement, Restock $restock): ?string
    {
        if ($restock->item !== null) {
            return $restock->item;
        }
        foreach ($judgement->assignment->list->lines as $line) {
            if ($line->id === $restock->line) {
                return $this->fitting->best($line, fn (Item $item): bool => $judgement->assignment->isUsable($item));
            }
        }

        return null;
    }
}
