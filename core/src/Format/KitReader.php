<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Kit\CompanionNeed;
use Sarcina\Core\Kit\CompanionsPer;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Lists\Total;

/** Reads a `sarcina.kit/1` document: what the `check` rule judges (rules.md, check). */
final class KitReader
{
    public const FORMAT = 'sarcina.kit/1';

    private Reader $reader;

    /** @var array<string, Item> by code with a dot before it */
    private array $items = [];

    /** Whether nothing of the items was refused: else what follows from them would be refused for no reason of its own. */
    private bool $itemsAreSound = true;

    private function __construct()
    {
        $this->reader = new Reader;
    }

    /** @throws InvalidDocument with every error that was found and its path */
    public static function read(mixed $document): Assignment
    {
        return (new self)->document($document);
    }

    /**
     * Items by themselves, each as it stands in a kit's document.
     *
     * @param  iterable<mixed>  $documents
     * @return list<Item>
     *
     * @throws InvalidDocument
     */
    public static function items(iterable $documents): array
    {
        $reader = new self;
        $reader->readItems(Json::read(Json::write([...$documents])));
        $reader->reader->finish();

        return array_values($reader->items);
    }

    private function document(mixed $document): Assignment
    {
        $in = $this->reader;
        $root = $in->object($document, '', ['format', 'as_of', 'kit', 'policy', 'items', 'list', 'contents']) ?? [];
        if (array_key_exists('format', $root)) {
            $in->format($root['format'], '', self::FORMAT);
        }
        $asOf = array_key_exists('as_of', $root) ? $in->day($root['as_of'], '/as_of') : null;
        $kit = array_key_exists('kit', $root) ? $this->kit($root['kit']) : null;
        $policy = array_key_exists('policy', $root) ? $this->policy($root['policy']) : null;
        if (array_key_exists('items', $root)) {
            $refused = $in->refused();
            $this->readItems($root['items']);
            $this->itemsAreSound = $in->refused() === $refused;
        }
        $list = array_key_exists('list', $root) ? $this->kitList($root['list']) : null;
        $rows = array_key_exists('contents', $root) ? $this->contents($root['contents'], $kit->emptyMass ?? 0) : [];
        $in->finish();
        \assert($asOf !== null && $kit !== null && $policy !== null && $list !== null);

        return new Assignment($asOf, $kit, $policy, array_values($this->items), $list, $rows);
    }

    private function kit(mixed $value): Kit
    {
        $in = $this->reader;
        $kit = $in->object($value, '/kit', ['code'], ['scope', 'max_mass_g', 'empty_mass_g']) ?? [];

        return new Kit(
            array_key_exists('code', $kit) ? $in->text($kit['code'], '/kit/code') : '',
            array_key_exists('scope', $kit) ? $in->choice($kit['scope'], '/kit/scope', Scope::class, Scope::Anyone) : Scope::Anyone,
            isset($kit['max_mass_g']) ? $in->wholeNumber($kit['max_mass_g'], '/kit/max_mass_g', 0) : null,
            array_key_exists('empty_mass_g', $kit) ? $in->wholeNumber($kit['empty_mass_g'], '/kit/empty_mass_g', 0) : 0,
        );
    }

    private function policy(mixed $value): ?Policy
    {
        $in = $this->reader;
        $policy = $in->object($value, '/policy', ['expiry', 'next_check'], ['margin_days']) ?? [];
        if (! array_key_exists('expiry', $policy) || ! array_key_exists('next_check', $policy)) {
            return null;
        }

        return new Policy(
            $in->choice($policy['expiry'], '/policy/expiry', ExpiryPolicy::class, ExpiryPolicy::Strict),
            $in->day($policy['next_check'], '/policy/next_check'),
            array_key_exists('margin_days', $policy) ? $in->wholeNumber($policy['margin_days'], '/policy/margin_days', 0, 1_000_000) : 0,
        );
    }

    private function readItems(mixed $value): void
    {
        $in = $this->reader;
        $seen = [];
        foreach ($in->list($value, '/items') as $index => $entry) {
            $path = "/items/{$index}";
            $item = $in->object($entry, $path, ['code', 'class'], ['dated', 'mass_g', 'size', 'scope', 'reserve', 'needs', 'superseded_by']);
            if ($item === null || ! array_key_exists('code', $item) || ! array_key_exists('class', $item)) {
                continue;
            }
            $code = $in->text($item['code'], "{$path}/code");
            $in->onlyOnce($code, "{$path}/code", $seen);
            $this->items['.'.$code] = new Item(
                $code,
                new ItemClass($in->text($item['class'], "{$path}/class")),
                array_key_exists('dated', $item) ? $in->flag($item['dated'], "{$path}/dated") : false,
                array_key_exists('mass_g', $item) ? $in->wholeNumber($item['mass_g'], "{$path}/mass_g", 0) : 0,
                array_key_exists('size', $item) ? $in->measures($item['size'], "{$path}/size") : [],
                array_key_exists('scope', $item) ? $in->choice($item['scope'], "{$path}/scope", Scope::class, Scope::Anyone) : Scope::Anyone,
                array_key_exists('reserve', $item) ? $in->flag($item['reserve'], "{$path}/reserve") : true,
                array_key_exists('needs', $item) ? $this->needs($item['needs'], "{$path}/needs") : [],
                isset($item['superseded_by']) ? $in->text($item['superseded_by'], "{$path}/superseded_by") : null,
            );
        }
    }

    /** @return list<CompanionNeed> */
    private function needs(mixed $value, string $path): array
    {
        $in = $this->reader;
        $needs = [];
        foreach ($in->list($value, $path) as $index => $entry) {
            $need = $in->object($entry, "{$path}/{$index}", ['any_of', 'per', 'quantity']);
            if ($need === null || count(array_intersect_key($need, ['any_of' => 0, 'per' => 0, 'quantity' => 0])) < 3) {
                continue;
            }
            $codes = [];
            $seen = [];
            foreach ($in->list($need['any_of'], "{$path}/{$index}/any_of", false) as $position => $code) {
                $codes[] = $in->text($code, "{$path}/{$index}/any_of/{$position}");
                $in->onlyOnce($codes[$position], "{$path}/{$index}/any_of/{$position}", $seen);
            }
            $per = $in->choice($need['per'], "{$path}/{$index}/per", CompanionsPer::class, CompanionsPer::Kit);
            $quantity = $in->wholeNumber($need['quantity'], "{$path}/{$index}/quantity", 1);
            if ($codes !== []) {
                $needs[] = new CompanionNeed($codes, $per, $quantity);
            }
        }

        return $needs;
    }

    private function kitList(mixed $value): ?KitList
    {
        $in = $this->reader;
        $list = $in->object($value, '/list', ['code', 'lines'], ['excludes']);
        if ($list === null) {
            return null;
        }
        $excludes = [];
        foreach ($in->list($list['excludes'] ?? [], '/list/excludes') as $index => $class) {
            $excludes[] = new ItemClass($in->text($class, "/list/excludes/{$index}"));
        }
        $lines = [];
        $seen = [];
        foreach ($in->list($list['lines'] ?? [], '/list/lines') as $index => $entry) {
            $line = $this->line($entry, "/list/lines/{$index}", $seen);
            if ($line !== null) {
                $lines[$index] = $line;
            }
        }
        $code = array_key_exists('code', $list) ? $in->text($list['code'], '/list/code') : '';
        $read = new KitList($code, array_values($lines), $excludes);
        if ($this->itemsAreSound) {
            $this->keepTotalsApart($read, array_keys($lines));
        }

        return $read;
    }

    /** @param  array<string, true>  $seen line ids given so far */
    private function line(mixed $value, string $path, array &$seen): ?Line
    {
        $in = $this->reader;
        $line = $in->object($value, $path, ['id', 'accepts'], ['quantity', 'total', 'rank']);
        if ($line === null) {
            return null;
        }
        $id = array_key_exists('id', $line) ? $in->text($line['id'], "{$path}/id") : '';
        $in->onlyOnce($id, "{$path}/id", $seen);
        $rank = array_key_exists('rank', $line) ? $in->choice($line['rank'], "{$path}/rank", Rank::class, Rank::Required) : Rank::Required;
        $accepts = array_key_exists('accepts', $line) ? $this->accepts($line['accepts'], "{$path}/accepts") : [];
        $isCounted = array_key_exists('quantity', $line);
        if ($isCounted === array_key_exists('total', $line)) {
            $in->refuse($path, 'A line asks for a quantity or for a total, one of the two.');

            return null;
        }
        if ($isCounted) {
            $quantity = $in->wholeNumber($line['quantity'], "{$path}/quantity", 1);

            return $accepts === [] ? null : Line::counted($id, $rank, $accepts, $quantity);
        }
        $total = $this->total($line['total'], "{$path}/total");

        return $accepts === [] || $total === null ? null : Line::totalled($id, $rank, $accepts, $total);
    }

    private function total(mixed $value, string $path): ?Total
    {
        $in = $this->reader;
        if ($value instanceof \stdClass && count(get_object_vars($value)) !== 1) {
            $in->refuse($path, 'A total names one measure, such as {"length": "2.5 yd"}.');

            return null;
        }
        foreach ($in->measures($value, $path) as $measure => $wanted) {
            if (! $wanted->isPositive()) {
                $in->refuse(Json::pointer($path, $measure), 'A total must be above 0.');

                return null;
            }

            return new Total($measure, $wanted);
        }

        return null;
    }

    /** @return list<Accepted> */
    private function accepts(mixed $value, string $path): array
    {
        $in = $this->reader;
        $accepts = [];
        foreach ($in->list($value, $path, false) as $index => $entry) {
            $at = "{$path}/{$index}";
            $accepted = $in->object($entry, $at, [], ['item', 'class', 'min']);
            if ($accepted === null) {
                continue;
            }
            $namesItem = array_key_exists('item', $accepted);
            if ($namesItem === array_key_exists('class', $accepted)) {
                $in->refuse($at, 'An entry names an item or a class, one of the two.');
            } elseif ($namesItem) {
                if (array_key_exists('min', $accepted)) {
                    $in->refuse("{$at}/min", 'Least measures go with a class only.');
                }
                $accepts[] = Accepted::item($in->text($accepted['item'], "{$at}/item"));
            } else {
                $accepts[] = Accepted::class(
                    $in->text($accepted['class'], "{$at}/class"),
                    array_key_exists('min', $accepted) ? $in->measures($accepted['min'], "{$at}/min") : [],
                );
            }
        }

        return $accepts;
    }

    /**
     * A total line names an item that is known, accepts only items with its measure, and shares none of them with another line.
     *
     * @param  list<int>  $places  where each line stands in the document
     */
    private function keepTotalsApart(KitList $list, array $places): void
    {
        if (array_filter($list->lines, static fn (Line $line): bool => $line->total !== null) === []) {
            return;
        }
        $clashes = [];
        $accepted = [];
        foreach ($this->items as $key => $item) {
            $hasTotal = false;
            $isFirst = true;
            foreach (array_keys($list->preferencesFor($item)) as $line) {
                $accepted[$line][$key] = $item;
                if (! $isFirst && ($hasTotal || $list->lines[$line]->total !== null)) {
                    $clashes[$line] ??= $item->code;
                }
                $hasTotal = $hasTotal || $list->lines[$line]->total !== null;
                $isFirst = false;
            }
        }
        foreach ($list->lines as $index => $line) {
            $path = "/list/lines/{$places[$index]}";
            if (isset($clashes[$index])) {
                $this->reader->refuse("{$path}/accepts", "\"{$clashes[$index]}\" is accepted by a line that asks for a total and by another line; it can serve one of them only.");
            } elseif ($line->total !== null) {
                $this->mendableTotal($line, $line->total, $accepted[$index] ?? [], "{$path}/accepts", "{$path}/total");
            }
        }
    }

    /** @param  array<string, Item>  $accepted */
    private function mendableTotal(Line $line, Total $total, array $accepted, string $path, string $totalPath): void
    {
        $in = $this->reader;
        foreach ($accepted as $item) {
            $piece = $total->pieceOf($item);
            if ($piece === null) {
                $in->refuse($path, "\"{$item->code}\" has no {$total->measure} above 0 that could be added up in {$total->wanted->unit->value}.");

                return;
            }
            if (! $piece->comesToWithin($total->wanted, Reader::MOST_PIECES)) {
                $in->refuse($totalPath, "More pieces of \"{$item->code}\" would be asked for than a kit can hold.");

                return;
            }
        }
        foreach ($line->accepts as $entry) {
            if ($entry->item !== null && isset($this->items['.'.$entry->item])) {
                return;
            }
        }
        $in->refuse($path, 'A line that asks for a total must name at least one of the items by its code.');
    }

    /** @return list<Row> */
    private function contents(mixed $value, int $mass): array
    {
        $in = $this->reader;
        $rows = [];
        foreach ($in->list($value, '/contents') as $index => $entry) {
            $path = "/contents/{$index}";
            $row = $in->object($entry, $path, ['item', 'quantity'], ['pocket', 'lot', 'expires', 'condition']);
            if ($row === null) {
                continue;
            }
            $code = array_key_exists('item', $row) ? $in->text($row['item'], "{$path}/item") : '';
            $item = $this->items['.'.$code] ?? null;
            if ($item === null && $code !== '' && $this->itemsAreSound) {
                $in->refuse("{$path}/item", "The item \"{$code}\" does not stand in items.");
            }
            $quantity = array_key_exists('quantity', $row) ? $in->wholeNumber($row['quantity'], "{$path}/quantity", 1) : 1;
            $expires = array_key_exists('expires', $row) ? $in->printedDateOrNull($row['expires'], "{$path}/expires") : null;
            $condition = array_key_exists('condition', $row) ? $in->choice($row['condition'], "{$path}/condition", Condition::class, Condition::Good) : Condition::Good;
            $pocket = array_key_exists('pocket', $row) ? $in->textOrNull($row['pocket'], "{$path}/pocket") : null;
            $lot = array_key_exists('lot', $row) ? $in->textOrNull($row['lot'], "{$path}/lot") : null;
            if ($item !== null) {
                if ($item->mass * $quantity > PHP_INT_MAX - $mass) {
                    $in->refuse("{$path}/quantity", 'So many pieces weigh more than can be reckoned.');

                    continue;
                }
                $mass += $item->mass * $quantity;
                $rows[] = new Row($pocket, $item, $lot, $expires, $quantity, $condition);
            }
        }

        return $rows;
    }
}
