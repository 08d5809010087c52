<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/** The two chains of records that are never changed. */
enum Chain: string
{
    case Movements = 'movements';
    case Checks = 'checks';

    /** Its last link, held for this transaction. */
    public function lock(): Link
    {
        return $this->read(true);
    }

    public function head(): Link
    {
        return $this->read(false);
    }

    public function moveTo(Link $head): void
    {
        DB::table('chain_heads')->where('chain', $this->value)->update(['number' => $head->number, 'hash' => $head->hash]);
    }

    private function read(bool $lock): Link
    {
        $query = DB::table('chain_heads')->where('chain', $this->value);
        $row = ($lock ? $query->lockForUpdate() : $query)->first() ?? throw new \RuntimeException("The chain of {$this->value} has no head.");

        return new Link((int) $row->number, $row->hash);
    }
}
