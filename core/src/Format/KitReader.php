<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Checked;
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

/** Reads a `sarcina.kit/1` document: what the `check` rule judges (rules.md, check). */
final class KitReader
{
    public const FORMAT = 'sarcina.kit/1';

    private const MOST_DAYS = 1_000_000;

    /** @var array<string, Item> by code with a dot before it */
    private array $items = [];

    private function __construct()
    {
    }

    /** @throws InvalidDocument with every error that was found and its path */
    public static function read(mixed $document): Assignment
    {
        return (new self)->document(Reader::of($document));
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
        $root = Reader::of((object) ['items' => Json::read(Json::write([...$documents]))]);
        $reader->readItems($root->field('items'));
        $root->finish();

        return array_values($reader->items);
    }

    /**
     * Items and contents as they stand in a kit's document, inside of another one.
     *
     * @return array{list<Item>, list<Row>}
     */
    public static function itemsAndContents(Reader $items, Reader $contents, Day $asOf): array
    {
        $reader = new self;
        $refused = $items->refused();
        $reader->readItems($items);
        $rows = $reader->contents($contents, 0, $items->refused() === $refused, $asOf, ['anyone_may_use']);

        return [array_values($reader->items), $rows];
    }

    /** Reads a document that is part of another one, and leaves its errors there. */
    public static function part(Reader $document): Assignment
    {
        return (new self)->unfinished($document);
    }

    private function document(Reader $root): Assignment
    {
        $assignment = $this->unfinished($root);
        $root->finish();

        return $assignment;
    }

    private function unfinished(Reader $root): Assignment
    {
        $root->object(['format', 'as_of', 'kit', 'policy', 'items', 'list', 'contents'], ['also_counted', 'checked', 'doubts']);
        $root->field('format')->format(self::FORMAT);
        $asOf = $root->field('as_of')->day();
        $kit = self::kit($root->field('kit'));
        $policy = self::policy($root->field('policy'));
        $refused = $root->refused();
        $this->readItems($root->field('items'));
        // Where an item was refused, what follows from it would be refused for no reason of its own.
        $itemsAreSound = $root->refused() === $refused;
        $lists = new ListReader($root->field('list'));
        $list = $lists->read();
        if ($itemsAreSound) {
            $lists->refuseClashes($list, $this->items);
        }
        $rows = $this->contents($root->field('contents'), $kit->emptyMass, $itemsAreSound, $asOf);
        $alsoCounted = [];
        foreach ($root->field('also_counted')->entries() as $count) {
            if ($count->object(['contents'])->isObject()) {
                $alsoCounted[] = $this->contents($count->field('contents'), $kit->emptyMass, $itemsAreSound, $asOf);
            }
        }
        $checked = self::checked($root->field('checked'), $asOf);
        $doubts = (new DoubtReader(array_keys($this->items), $itemsAreSound))->read($root->field('doubts'));

        return new Assignment($asOf, $kit, $policy, array_values($this->items), $list, $rows, $checked, $doubts, $alsoCounted);
    }

    private static function checked(Reader $checked, Day $asOf): ?Checked
    {
        if ($checked->isNull()) {
            return null;
        }
        $checked->object(['last_full', 'due_on']);
        $lastFull = $checked->field('last_full')->dayOrNull();
        if ($lastFull?->isAfter($asOf) === true) {
            $checked->field('last_full')->refuse('The last full check cannot be after the day on which the kit is judged.');
        }

        return new Checked($lastFull, $checked->field('due_on')->dayOrNull());
    }

    private static function kit(Reader $kit): Kit
    {
        $kit->object(['code'], ['scope', 'max_mass_g', 'empty_mass_g']);
        $most = $kit->field('max_mass_g');

        return new Kit(
            $kit->field('code')->text(), $kit->field('scope')->choice(Scope::Anyone),
            $most->isNull() ? null : $most->wholeNumber(0), $kit->field('empty_mass_g')->wholeNumber(0),
        );
    }

    private static function policy(Reader $policy): Policy
    {
        $policy->object(['expiry', 'next_check'], ['margin_days', 'not_ready_after_days', 'prepared']);
        $days = $policy->field('not_ready_after_days');

        return new Policy(
            $policy->field('expiry')->choice(ExpiryPolicy::Strict), $policy->field('next_check')->day(),
            $policy->field('margin_days')->wholeNumber(0, self::MOST_DAYS),
            $days->isNull() ? null : $days->wholeNumber(0, self::MOST_DAYS),
            $policy->field('prepared')->flag(false),
        );
    }

    private function readItems(Reader $items): void
    {
        $seen = [];
        foreach ($items->entries() as $item) {
            $item->object(['code', 'class'], ['dated', 'mass_g', 'size', 'scope', 'reserve', 'needs', 'superseded_by', 'after_opening_days']);
            if (! $item->field('code')->isGiven() || ! $item->field('class')->isGiven()) {
                continue;
            }
            $code = $item->field('code')->textOnce($seen);
            $newer = $item->field('superseded_by');
            $this->items['.'.$code] = new Item(
                $code,
                new ItemClass($item->field('class')->text()),
                $item->field('dated')->flag(false),
                $item->field('mass_g')->wholeNumber(0),
                $item->field('size')->measures(),
                $item->field('scope')->choice(Scope::Anyone),
                $item->field('reserve')->flag(true),
                self::needs($item->field('needs')),
                $newer->isNull() ? null : $newer->text(),
                $item->field('after_opening_days')->isNull() ? null : $item->field('after_opening_days')->wholeNumber(1, self::MOST_DAYS),
            );
        }
    }

    private static function openedOn(Reader $opened, Condition $condition, Day $asOf): ?Day
    {
        $day = $opened->dayOrNull();
        if ($day !== null && $condition !== Condition::Opened) {
            $opened->refuse('The day on which it was opened goes with the condition opened alone.');
        } elseif ($day !== null && $day->isAfter($asOf)) {
            $opened->refuse('It cannot have been opened after the day on which the kit is judged.');
        }

        return $day;
    }

    /** @return list<CompanionNeed> */
    private static function needs(Reader $needs): array
    {
        $read = [];
        foreach ($needs->entries() as $need) {
            $need->object(['any_of', 'per', 'quantity']);
            if (array_diff(['any_of', 'per', 'quantity'], $need->keys()) !== []) {
                continue;
            }
            $codes = [];
            $seen = [];
            foreach ($need->field('any_of')->entries(false) as $code) {
                $codes[] = $code->textOnce($seen);
            }
            $per = $need->field('per')->choice(CompanionsPer::Kit);
            $quantity = $need->field('quantity')->wholeNumber(1);
            if ($codes !== []) {
                $read[] = new CompanionNeed($codes, $per, $quantity);
            }
        }

        return $read;
    }

    /**
     * @param  list<string>  $more  keys that a row of this rule may have too
     * @return list<Row>
     */
    private function contents(Reader $contents, int $mass, bool $itemsAreSound, Day $asOf, array $more = []): array
    {
        $rows = [];
        foreach ($contents->entries() as $row) {
            if (! $row->object(['item', 'quantity'], ['pocket', 'lot', 'expires', 'condition', 'opened_on', ...$more])->isObject()) {
                continue;
            }
            $code = $row->field('item')->text();
            $item = $this->items['.'.$code] ?? null;
            if ($item === null && $code !== '' && $itemsAreSound) {
                $row->field('item')->refuse("The item \"{$code}\" does not stand in items.");
            }
            $quantity = $row->field('quantity')->wholeNumber(1);
            $expires = $row->field('expires')->printedDateOrNull();
            $condition = $row->field('condition')->choice(Condition::Good);
            $opened = self::openedOn($row->field('opened_on'), $condition, $asOf);
            $pocket = $row->field('pocket')->textOrNull();
            $lot = $row->field('lot')->textOrNull();
            if ($item === null) {
                continue;
            }
            if ($item->mass * $quantity > PHP_INT_MAX - $mass) {
                $row->field('quantity')->refuse('So many pieces weigh more than can be added up.');

                continue;
            }
            $mass += $item->mass * $quantity;
            $rows[] = new Row($pocket, $item, $lot, $expires, $quantity, $condition, $opened);
        }

        return $rows;
    }
}
