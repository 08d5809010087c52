<?php

declare(strict_types=1);

namespace App\Checks;

use App\Ledger\Parts\CheckRow;

/** Something that arrived late and could not be recorded as it was sent. */
final readonly class UnsettledRow
{
    /**
     * @param  string  $because  kit_retired, not_there, moved_while_counting, checks_disagree, no_such_pocket, counted_later, order_in_doubt,
     *                           answered or lost_tail
     * @param  UnsettledPieces|null  $pieces  that are unaccounted for until it is settled
     * @param  int|null  $other  the number of the operation that it disagrees with
     */
    public function __construct(
        public string $because,
        public ?string $subject = null,
        public ?string $lot = null,
        public ?string $pocket = null,
        public ?int $sent = null,
        public ?int $recorded = null,
        public ?UnsettledPieces $pieces = null,
        public ?int $other = null,
    ) {
    }

    /**
     * @param  list<CheckRow>  $rows
     * @return list<self> rows of which pieces were moved while they were counted
     */
    public static function ofRowsInDoubt(array $rows): array
    {
        return array_values(array_map(static fn (CheckRow $row): self => new self(
            'moved_while_counting', $row->itemName, $row->lotNumber, $row->pocket, $row->counted, $row->became,
        ), array_filter($rows, static fn (CheckRow $row): bool => $row->inDoubt)));
    }
}
