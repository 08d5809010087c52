<?php

declare(strict_types=1);

namespace App\Judging;

use App\Ledger\PieceCondition;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Row;

/** Pieces of one lot in one condition in one pocket: as recorded, or as somebody counts them. */
final readonly class ContentRow
{
    /**
     * @param  string  $pocketId  of a module in the kit: with the module's id and a dot before it
     * @param  string|null  $lotId  null where the lot is not on record yet
     * @param  bool  $isRecalled  whether its lot is under recall: then it counts nowhere
     * @param  string  $condition  with the day of opening, as PieceCondition writes it
     */
    public function __construct(
        public string $pocketId,
        public string $itemCode,
        public ?string $lotId,
        public ?string $lot,
        public ?string $expires,
        public int $quantity,
        public string $condition,
        public bool $isRecalled = false,
    ) {
    }

    /** The same for rows of one lot in one condition in one pocket. */
    public function key(): string
    {
        return "{$this->pocketId} {$this->lotId} {$this->condition}";
    }

    public function in(string $pocketId): self
    {
        return new self($pocketId, $this->itemCode, $this->lotId, $this->lot, $this->expires, $this->quantity, $this->condition, $this->isRecalled);
    }

    /** The same as a row of that module by itself; null where it is not in it. */
    public function withinModule(string $module): ?self
    {
        return str_starts_with($this->pocketId, "{$module}.") ? $this->in(substr($this->pocketId, strlen($module) + 1)) : null;
    }

    public function of(int $quantity): self
    {
        return new self($this->pocketId, $this->itemCode, $this->lotId, $this->lot, $this->expires, $quantity, $this->condition, $this->isRecalled);
    }

    /** As the core judges it. */
    public function asked(string $pocket, Item $item): Row
    {
        $condition = PieceCondition::of($this->condition);
        $is = $this->isRecalled ? Condition::Recalled : $condition->condition;

        return new Row(
            $pocket, $item, $this->lot, $this->expires === null ? null : PrintedDate::of($this->expires), $this->quantity,
            $is, $this->isRecalled ? null : $condition->openedDay(),
        );
    }
}
