<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** What is done to an item before it is packed, such as unfolding gloves, and whether it was. */
final readonly class Preparation implements PartRow
{
    public function __construct(
        public string $kitId,
        public string $pocketId,
        public string $pocket,
        public string $itemCode,
        public string $itemName,
        public string $task,
        public bool $isDone,
    ) {
    }

    public function part(): Part
    {
        return Part::Preparations;
    }

    public function columns(): array
    {
        return [
            'kit_id' => $this->kitId,
            'pocket_id' => $this->pocketId,
            'pocket' => $this->pocket,
            'item_code' => $this->itemCode,
            'item_name' => $this->itemName,
            'task' => $this->task,
            'is_done' => $this->isDone,
        ];
    }
}
