<?php

declare(strict_types=1);

namespace App\Judging;

/**
 * Another count of a kit that may be the true one, as its difference from what is on record. What is recorded later changes both counts
 * alike, so the difference stays.
 */
final readonly class CountDifference
{
    /** @param  list<array{ContentRow, int}>  $rows  rows with the pieces that the other count has more of, or less */
    public function __construct(private array $rows)
    {
    }

    /**
     * @param  list<ContentRow>  $recorded
     * @return list<ContentRow> the other count
     */
    public function from(array $recorded): array
    {
        $byKey = [];
        foreach ($recorded as $row) {
            $byKey[$row->key()] = isset($byKey[$row->key()]) ? $row->of($row->quantity + $byKey[$row->key()]->quantity) : $row;
        }
        foreach ($this->rows as [$row, $more]) {
            $there = $byKey[$row->key()] ?? $row->of(0);
            $byKey[$row->key()] = $there->of(max(0, $there->quantity + $more));
        }

        return array_values(array_filter($byKey, static fn (ContentRow $row): bool => $row->quantity > 0));
    }
}
