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

    public function kind(): OperationKind
    {
        return match ($this) {
            self::Receive => OperationKind::Receive,
            self::Count => OperationKind::Count,
            self::Dispose => OperationKind::Dispose,
            self::Move => OperationKind::Transfer,
        };
    }
}
