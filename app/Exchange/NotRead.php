<?php

declare(strict_types=1);

namespace App\Exchange;

/** A file that cannot be read at all: nothing of it is previewed. */
final class NotRead extends \RuntimeException
{
    public static function because(string $why): self
    {
        return new self($why);
    }
}
