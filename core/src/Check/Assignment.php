<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Lists\KitList;

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
            $canCount = $row->condition === Condition::Good
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

    /** Whether the list does not exclude the item, and those who have the kit may use it. */
    public function isUsable(Item $item): bool
    {
        return ! $this->list->excludes($item) && ! $item->scope->isAbove($this->kit->scope);
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
