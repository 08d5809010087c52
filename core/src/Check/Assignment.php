<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;

/** All that the `check` rule judges: one kit on one day, its policy, its list and what is in it. */
final readonly class Assignment
{
    /** @var list<bool|null> by row: true where it is effective, false where it is reserve, null where it does not count */
    private array $counts;

    /** @var list<bool> by row */
    private array $early;

    /**
     * @param  list<Item>  $items
     * @param  list<Row>  $contents
     */
    public function __construct(
        public Day $asOf,
        public Kit $kit,
        public Policy $policy,
        public array $items,
        public KitList $list,
        public array $contents,
    ) {
        $goodUntil = $policy->goodUntil();
        $keepsReserve = $policy->expiry === ExpiryPolicy::Reserve;
        $usable = [];
        $counts = [];
        $early = [];
        foreach ($contents as $row) {
            $item = $row->item;
            $canCount = $row->isSound()
                && ! $row->lacksItsDate()
                && ($usable['.'.$item->code] ??= $this->isUsable($item));
            $counts[] = match (true) {
                ! $canCount => null,
                ! $row->isExpired($asOf) => true,
                $keepsReserve && $item->keepsAsReserve => false,
                default => null,
            };
            $early[] = $row->expiresBefore($goodUntil);
        }
        $this->counts = $counts;
        $this->early = $early;
    }

    /** Whether the row counts now: good, dated where it must be, not excluded, within the kit's scope and not expired. */
    public function isEffective(int $row): bool
    {
        return $this->counts[$row] === true;
    }

    /** Whether the row is past its date, and the policy and its item let it stay as reserve. */
    public function isReserve(int $row): bool
    {
        return $this->counts[$row] === false;
    }

    /** Whether the row's last good day is before the next check and its margin. */
    public function expiresEarly(int $row): bool
    {
        return $this->early[$row];
    }

    /** Whether it can count somewhere in this kit: not excluded, and within the scope of those who have it or on a line for anyone. */
    public function isUsable(Item $item): bool
    {
        return ! $this->list->excludes($item) && (! $this->isBeyondScope($item) || $this->linesFor($item) !== []);
    }

    /** Whether it may be put in for that line. */
    public function isUsableOn(Item $item, Line $line): bool
    {
        return ! $this->list->excludes($item) && ($line->anyoneMayUse || ! $this->isBeyondScope($item));
    }

    public function isBeyondScope(Item $item): bool
    {
        return $item->scope->isAbove($this->kit->scope);
    }

    /**
     * The lines that accept the item, each with the position of the first entry that it matches: of what is beyond the scope of those who
     * have the kit, only lines that anyone may use.
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

    /** The mass of the kit and all that is in it, in grams. */
    public function mass(): int
    {
        $mass = $this->kit->emptyMass;
        foreach ($this->contents as $row) {
            $mass += $row->item->mass * $row->quantity;
        }

        return $mass;
    }
}
