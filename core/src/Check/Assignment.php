<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;

/** All that the `check` rule evaluates: one kit on one day, its policy, its list, its contents, and the doubts about them. */
final readonly class Assignment
{
    /** @var array<int, Row> by place in `$counted`: what is left once faults and reported uses are taken into account */
    public array $contents;

    /** @var array<int, bool|null> by row: true where it is effective, false where it is reserve, null where it does not count */
    private array $counts;

    /** @var array<int, bool> by row */
    private array $early;

    /** @var array<string, Item> items with a piece among what was counted, by code with a dot before it */
    private array $found;

    /**
     * @param  list<Item>  $items
     * @param  list<Row>  $counted  the contents as counted
     * @param  Checked|null  $checked  null: checks are not asked about
     * @param  list<list<Row>>  $alsoCounted  other counts, each of which may be the true one
     */
    public function __construct(
        public Day $asOf,
        public Kit $kit,
        public Policy $policy,
        public array $items,
        public KitList $list,
        public array $counted,
        public ?Checked $checked = null,
        public Doubts $doubts = new Doubts,
        public array $alsoCounted = [],
    ) {
        $faulty = array_flip($doubts->faults);
        $goodUntil = $policy->goodUntil();
        $usable = [];
        $contents = [];
        $counts = [];
        $early = [];
        $found = [];
        foreach ($counted as $index => $row) {
            if ($faulty !== [] && isset($faulty[$row->item->code]) && $row->isSound()) {
                $row = $row->failed();
            }
            $key = '.'.$row->item->code;
            $found[$key] = $row->item;
            $contents[$index] = $row;
            $counts[$index] = $this->counts($row, $usable[$key] ??= $this->isUsable($row->item));
            $early[$index] = $row->expiresBefore($goodUntil);
        }
        foreach ($doubts->reportedUsed as $key => $pieces) {
            foreach (self::bestFirst($key, $contents, $counts, $early) as $index) {
                $taken = min($pieces, $contents[$index]->quantity);
                $pieces -= $taken;
                if ($taken === $contents[$index]->quantity) {
                    unset($contents[$index]);
                } elseif ($taken > 0) {
                    $contents[$index] = $contents[$index]->withQuantity($contents[$index]->quantity - $taken);
                }
            }
        }
        $this->contents = $contents;
        $this->counts = $counts;
        $this->early = $early;
        $this->found = $found;
    }

    /** @return list<self> the same kit by each of its other counts, in their order */
    public function byOtherCounts(): array
    {
        return array_map(fn (array $rows): self => new self(
            $this->asOf, $this->kit, $this->policy, $this->items, $this->list, $rows, $this->checked, $this->doubts, $this->alsoCounted,
        ), $this->alsoCounted);
    }

    /** Says whether anything of the item was counted, before what is reported used is taken out. */
    public function hasCounted(string $item): bool
    {
        return isset($this->found['.'.$item]);
    }

    /** Says whether the row counts now: good, dated where it must be, not excluded, within the kit's scope and not expired. */
    public function isEffective(int $row): bool
    {
        return $this->counts[$row] === true;
    }

    /** Says whether the row is past its date, and the policy and its item let it stay as reserve. */
    public function isReserve(int $row): bool
    {
        return $this->counts[$row] === false;
    }

    /** Says whether the row's last good day is before the next check and its margin. */
    public function expiresEarly(int $row): bool
    {
        return $this->early[$row];
    }

    /** Says whether the item can count somewhere in this kit: not excluded, and within the kit's scope or on a line for anyone. */
    public function isUsable(Item $item): bool
    {
        return ! $this->list->excludes($item) && (! $this->isBeyondScope($item) || $this->linesFor($item) !== []);
    }

    /** Says whether the item may be put in for that line. */
    public function isUsableOn(Item $item, Line $line): bool
    {
        return ! $this->list->excludes($item) && ($line->anyoneMayUse || ! $this->isBeyondScope($item));
    }

    /** Gives the same kit in the hands of people of the highest scope: what does not count then fails for another reason. */
    public function withoutScope(): self
    {
        return new self(
            $this->asOf, new Kit($this->kit->code, Scope::Clinician, $this->kit->maxMass, $this->kit->emptyMass), $this->policy, $this->items,
            $this->list, $this->counted, $this->checked, $this->doubts, $this->alsoCounted,
        );
    }

    public function isBeyondScope(Item $item): bool
    {
        return $item->scope->isAbove($this->kit->scope);
    }

    /**
     * Finds the lines that accept the item, each with the position of the first entry that it matches. An item above the kit's scope is
     * accepted only by lines that anyone may use.
     *
     * @return array<int, int>
     */
    public function linesFor(Item $item): array
    {
        $lines = $this->list->preferencesFor($item);

        return $this->isBeyondScope($item)
            ? array_filter($lines, fn (int $line): bool => $this->list->lines[$line]->anyoneMayUse, ARRAY_FILTER_USE_KEY)
            : $lines;
    }

    /** Returns the mass of the kit and its contents, in grams. */
    public function mass(): int
    {
        $mass = $this->kit->emptyMass;
        foreach ($this->contents as $row) {
            $mass += $row->item->mass * $row->quantity;
        }

        return $mass;
    }

    private function counts(Row $row, bool $isUsable): ?bool
    {
        return match (true) {
            ! $isUsable || ! $row->isSound() || $row->lacksItsDate() => null,
            ! $row->isExpired($this->asOf) => true,
            $this->policy->expiry === ExpiryPolicy::Reserve && $row->item->keepsAsReserve => false,
            default => null,
        };
    }

    /**
     * Orders an item's rows as pieces reported used are taken from them: those that count best first, then by their place.
     *
     * @param  array<int, Row>  $contents
     * @param  array<int, bool|null>  $counts
     * @param  array<int, bool>  $early
     * @return list<int>
     */
    private static function bestFirst(string $key, array $contents, array $counts, array $early): array
    {
        $groups = [[], [], [], []];
        foreach ($contents as $index => $row) {
            if ('.'.$row->item->code === $key) {
                $groups[match (true) {
                    $counts[$index] === true && ! $early[$index] => 0,
                    $counts[$index] === true => 1,
                    $counts[$index] === false => 2,
                    default => 3,
                }][] = $index;
            }
        }

        return array_merge(...$groups);
    }
}
