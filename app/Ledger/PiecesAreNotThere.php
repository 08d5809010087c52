<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Support\Refused;

final class PiecesAreNotThere extends Refused
{
    private function __construct(
        string $message,
        public readonly string $lotId,
        public readonly Location $at,
        public readonly int $there,
    ) {
        parent::__construct($message, 'quantity');
    }

    public static function soMany(string $lotId, Location $at, int $wanted, int $there): self
    {
        return new self("{$wanted} were to be taken, but {$there} are recorded there.", $lotId, $at, $there);
    }
}
