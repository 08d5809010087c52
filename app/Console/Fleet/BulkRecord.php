<?php

declare(strict_types=1);

namespace App\Console\Fleet;

use App\Ledger\Canonical;
use App\Ledger\Head;
use App\Ledger\Keys;
use App\Ledger\OperationKind;
use App\Ledger\Part;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/** Writes operations as the record has them, each covered by a hash over the one before it, into files instead of tables. */
final class BulkRecord
{
    private int $number;

    private string $hash;

    private readonly int $epoch;

    public int $movements = 0;

    public function __construct(
        private readonly Keys $keys,
        private readonly Sheets $sheets,
        Head $head,
        private readonly string $userId,
        private readonly string $userName,
    ) {
        [$this->number, $this->hash, $this->epoch] = [$head->number, $head->hash, $head->epoch];
    }

    /**
     * @param  array<string, list<array<string, bool|int|string|null>>>  $parts  rows by table, without their positions
     * @return int its number
     */
    public function write(OperationKind $kind, CarbonImmutable $at, array $parts): int
    {
        $instant = $at->format('Y-m-d H:i:s');
        $own = [
            'number' => ++$this->number, 'epoch' => $this->epoch, 'id' => strtolower((string) Str::ulid($at)), 'kind' => $kind->value,
            'user_id' => $this->userId, 'user_name' => $this->userName, 'witness_id' => null, 'base_epoch' => null, 'base_number' => null,
            'begun_at' => $instant, 'done_at' => $instant, 'received_at' => $instant, 'clock_checked_at' => $instant,
            'day' => $at->format('Y-m-d'), 'signed' => null, 'note' => null, 'key_id' => $this->keys->current(),
        ];
        foreach ($parts as $table => $rows) {
            foreach ($rows as $position => $row) {
                $parts[$table][$position] = $row = ['position' => $position, ...$row];
                $this->sheets->add($table, ['operation_number' => $this->number, ...$row]);
            }
        }
        $this->movements += count($parts[Part::Movements->value] ?? []);
        $this->hash = (string) $this->keys->hash($this->keys->current(), Canonical::text($this->hash, $own, $parts));
        $this->sheets->add('operations', [...$own, 'hash' => $this->hash]);

        return $this->number;
    }

    /** The statement that moves the end of the record. */
    public function head(): string
    {
        return "UPDATE ledger_head SET number = {$this->number}, hash = '{$this->hash}' WHERE id = 1;";
    }
}
