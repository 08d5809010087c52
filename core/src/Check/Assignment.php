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
    }

    /** A row that counts now: good, dated where it must be, not excluded, within the kit's scope and not expired. */
    public function isEffective(Row $row): bool
    {
        return $this->canCount($row) && ! $row->isExpired($this->asOf);
    }

    /** A row past its date that the policy and its item let stay as reserve. */
    public function isReserve(Row $row): bool
    {
        return $this->policy->expiry === ExpiryPolicy::Reserve
            && $row->item->keepsAsReserve
            && $this->canCount($row)
            && $row->isExpired($this->asOf);
    }

    /** Whether an effective row's last good day is before the next check and its margin. */
    public function expiresEarly(Row $row): bool
    {
        return $row->expiresBefore($this->policy->goodUntil());
    }

    public function isUsable(Item $item): bool
    {
        return ! $this->list->excludes($item) && ! $item->scope->isAbove($this->kit->scope);
    }

    private function canCount(Row $row): bool
    {
        return $row->condition === Condition::Good && ! $row->lacksItsDate() && $this->isUsable($row->item);
    }
}
