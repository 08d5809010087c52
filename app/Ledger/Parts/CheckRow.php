<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** What was counted of one lot in one condition in one pocket. */
final readonly class CheckRow implements PartRow
{
    /**
     * @param  string  $kitId  the kit, or the module in it that the pocket is of
     * @param  int  $became  what is on record after the check: other than counted where it arrived late
     * @param  bool  $inDoubt  something was put in or taken out while it was counted: which came first is not known
     */
    public function __construct(
        public string $kitId,
        public string $pocketId,
        public string $pocket,
        public string $lotId,
        public string $itemCode,
        public string $itemName,
        public ?string $lotNumber,
        public ?string $expires,
        public string $condition,
        public int $recorded,
        public int $counted,
        public int $became,
        public bool $inDoubt = false,
    ) {
    }

    public function part(): Part
    {
        return Part::Rows;
    }

    public function columns(): array
    {
        return [
            'kit_id' => $this->kitId,
            'pocket_id' => $this->pocketId,
            'pocket' => $this->pocket,
            'lot_id' => $this->lotId,
            'item_code' => $this->itemCode,
            'item_name' => $this->itemName,
            'lot_number' => $this->lotNumber,
            'expires' => $this->expires,
            'condition' => $this->condition,
            'recorded' => $this->recorded,
            'counted' => $this->counted,
            'became' => $this->became,
            'in_doubt' => $this->inDoubt,
        ];
    }
}
