<?php

declare(strict_types=1);

namespace App\Stock;

use App\Ledger\OperationKind;

/** What is done at a store's shelf. */
enum StoreTask: string
{
    case Receive = 'receive';
    case Count = 'count';
    case Dispose = 'dispose';
    case Move = 'move';
    case SetApart = 'set_apart';
    case Release = 'release';
    case Lend = 'lend';
    case Borrow = 'borrow';
    case Repack = 'repack';

    public function kind(): OperationKind
    {
        return match ($this) {
            self::Receive => OperationKind::Receive,
            self::Count => OperationKind::Count,
            self::Dispose => OperationKind::Dispose,
            self::Move => OperationKind::Transfer,
            self::SetApart => OperationKind::SetApart,
            self::Release => OperationKind::Release,
            self::Lend => OperationKind::Lend,
            self::Borrow => OperationKind::Borrow,
            self::Repack => OperationKind::Repack,
        };
    }

    /** Pieces come in that are looked at as goods: with a date where every pack has one, and not past it. */
    public function comesIn(): bool
    {
        return $this === self::Receive || $this === self::Borrow;
    }

    public function isLoan(): bool
    {
        return $this === self::Lend || $this === self::Borrow;
    }
}
