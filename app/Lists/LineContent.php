<?php

declare(strict_types=1);

namespace App\Lists;

use App\Lists\Models\Line;
use App\Lists\Models\LineEntry;

/** A line of a list as it is written: what is needed, its rank, how many pieces or how much in all, and what serves it. */
final readonly class LineContent
{
    /**
     * @param  list<EntryContent>  $accepts
     * @param  string  $per  what its quantity grows with: trip (nothing), people or person_days
     */
    public function __construct(
        public string $code,
        public string $need,
        public string $rank,
        public ?int $quantity,
        public ?string $totalMeasure,
        public ?string $totalQuantity,
        public array $accepts,
        public ?string $reason,
        public bool $anyoneMayUse = false,
        public string $per = 'trip',
    ) {
    }

    public static function of(Line $line): self
    {
        return new self(
            $line->code,
            $line->need,
            $line->rank->value,
            $line->quantity,
            $line->total_measure,
            $line->total_quantity,
            array_values($line->entries->map(static fn (LineEntry $entry): EntryContent => EntryContent::of($entry))->all()),
            $line->reason,
            $line->anyone_may_use,
            $line->per,
        );
    }

    /** @param  array<string, mixed>  $line  of a file whose shape was checked */
    public static function ofDocument(array $line): self
    {
        /**
         * @var array{
         *     id: string, need: string, rank?: string, quantity?: int|null, total?: array<string, string>|null,
         *     accepts: list<array{item?: string|null, class?: string|null, min?: array<string, string>, max?: array<string, string>}>,
         *     reason?: string|null, anyone_may_use?: bool, per?: string,
         * } $line
         */
        $total = $line['total'] ?? [];

        return new self(
            $line['id'],
            $line['need'],
            $line['rank'] ?? 'required',
            $total === [] ? $line['quantity'] ?? null : null,
            array_key_first($total),
            array_values($total)[0] ?? null,
            array_map(EntryContent::ofDocument(...), $line['accepts']),
            $line['reason'] ?? null,
            $line['anyone_may_use'] ?? false,
            $line['per'] ?? 'trip',
        );
    }

    /** @return array<string, mixed> as the core reads it */
    public function asked(): array
    {
        return [
            'id' => $this->code, 'rank' => $this->rank,
            ...($this->totalMeasure === null ? ['quantity' => $this->quantity] : ['total' => [$this->totalMeasure => $this->totalQuantity]]),
            'accepts' => array_map(static fn (EntryContent $entry): array => $entry->document(), $this->accepts),
            'anyone_may_use' => $this->anyoneMayUse,
        ];
    }

    /** @return array<string, mixed> as the format of lists has it */
    public function document(): array
    {
        $asked = $this->asked();

        return ['id' => $asked['id'], 'need' => $this->need, ...array_slice($asked, 1), 'reason' => $this->reason];
    }

    /** @return array<string, bool|int|string|null> of the table of lines */
    public function columns(): array
    {
        return [
            'code' => $this->code, 'need' => $this->need, 'rank' => $this->rank, 'quantity' => $this->quantity,
            'anyone_may_use' => $this->anyoneMayUse, 'reason' => $this->reason,
            'total_measure' => $this->totalMeasure, 'total_quantity' => $this->totalQuantity, 'per' => $this->per,
        ];
    }
}
