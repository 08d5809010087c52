<?php

declare(strict_types=1);

namespace App\Judging;

final readonly class PlanLine
{
    /**
     * @param  array<string, string>|null  $total  measure => quantity
     * @param  list<array<string, mixed>>  $accepts  as in `sarcina.kit/1`
     * @param  string|null  $listId  of the list or module that it stands in; null where the design adds it
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $need,
        public string $rank,
        public ?int $quantity,
        public ?array $total,
        public array $accepts,
        public ?string $pocketId,
        public ?string $reason,
        public ?string $listId,
    ) {
    }

    /** @return array<string, mixed> as in `sarcina.kit/1` */
    public function document(): array
    {
        return [
            'id' => $this->code,
            ...($this->total === null ? ['quantity' => $this->quantity] : ['total' => $this->total]),
            'rank' => $this->rank,
            'accepts' => $this->accepts,
        ];
    }
}
