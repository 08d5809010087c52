<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;
use RuntimeException;
use stdClass;

/** The end of the record: its last operation, and the hash that covers it and all before it. */
final readonly class Head
{
    public function __construct(
        public int $epoch,
        public int $number,
        public string $hash,
    ) {
    }

    public static function beforeAll(): self
    {
        return new self(1, 0, str_repeat('0', 64));
    }

    public static function read(): self
    {
        return self::of(DB::table('ledger_head')->where('id', 1)->first());
    }

    /**
     * Which record this is: the id of the last restore from a backup, empty before the first. An epoch's number alone would not tell: two
     * restores of one backup begin the same.
     */
    public static function record(): string
    {
        $id = DB::table('operations')->where('kind', OperationKind::Restore->value)->orderByDesc('number')->value('id');

        return is_string($id) ? $id : '';
    }

    /** Held for this transaction: whoever writes takes their turn. */
    public static function lock(): self
    {
        return self::of(DB::table('ledger_head')->where('id', 1)->lockForUpdate()->first());
    }

    public function move(): void
    {
        DB::table('ledger_head')->where('id', 1)->update(['epoch' => $this->epoch, 'number' => $this->number, 'hash' => $this->hash]);
    }

    public function base(): Base
    {
        return new Base($this->epoch, $this->number);
    }

    private static function of(?stdClass $row): self
    {
        return $row === null
            ? throw new RuntimeException('The record has no head: the table ledger_head is empty.')
            : new self((int) $row->epoch, (int) $row->number, $row->hash);
    }
}
