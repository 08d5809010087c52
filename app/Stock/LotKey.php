<?php

declare(strict_types=1);

namespace App\Stock;

/** How lots are told apart: by item, number in capitals and printed date. Nothing printed is nothing, never anything else. */
final readonly class LotKey
{
    private function __construct(
        public string $itemId,
        public string $number,
        public string $expires,
    ) {
    }

    public static function of(string $itemId, ?string $number, ?string $expires): self
    {
        return new self($itemId, mb_strtoupper(trim($number ?? '')), $expires ?? '');
    }

    /** @return array{item_id: string, number_key: string, expires_key: string} */
    public function columns(): array
    {
        return ['item_id' => $this->itemId, 'number_key' => $this->number, 'expires_key' => $this->expires];
    }

    public function text(): string
    {
        return "{$this->itemId}\n{$this->number}\n{$this->expires}";
    }
}
