<?php

declare(strict_types=1);

namespace App\Stock;

use App\Ledger\Base;
use App\Ledger\WhenDone;

/** What was done at a store's shelf. */
final readonly class StoreReport
{
    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  list<ShelfRow>  $rows
     * @param  string|null  $toStoreId  where pieces are moved to
     * @param  string|null  $partner  the team or organisation that pieces are lent to or borrowed from
     * @param  string|null  $dueOn  until when
     * @param  bool  $isRecall  whether the lots that are set apart are under recall
     * @param  string|null  $reason  why pieces are disposed of, or why a count differs from the record
     */
    public function __construct(
        public string $id,
        public StoreTask $task,
        public string $storeId,
        public WhenDone $when,
        public Base $base,
        public array $rows,
        public ?string $toStoreId = null,
        public ?string $reason = null,
        public ?string $supplier = null,
        public ?string $deliveryNote = null,
        public ?string $partner = null,
        public ?string $dueOn = null,
        public bool $isRecall = false,
    ) {
    }
}
