<?php

declare(strict_types=1);

namespace App\Ledger;

/** One link of a chain: its number, and a hash that covers it and all before it. */
final readonly class Link
{
    public function __construct(
        public int $number,
        public string $hash,
    ) {
    }

    public static function beforeAll(): self
    {
        return new self(0, str_repeat('0', 64));
    }

    public function after(string $covered): self
    {
        return new self($this->number + 1, hash('sha256', $this->hash."\n".$covered));
    }
}
