<?php

declare(strict_types=1);

namespace App\Ledger;

use RuntimeException;

final class NotThere extends RuntimeException
{
    private function __construct(string $message, public readonly string $lotId)
    {
        parent::__construct($message);
    }

    public static function soMany(string $lotId, int $wanted, int $there): self
    {
        return new self("{$wanted} were to be taken, but {$there} are recorded there.", $lotId);
    }
}
