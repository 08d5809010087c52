<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Item;

/** Rows of one item that are alike for the placement: all reserve, all early, or all neither. */
final class Pile
{
    public int $quantity = 0;

    /** @var list<array{int, int, int}> row, pieces, last good day's number */
    private array $members = [];

    public function __construct(
        public readonly Item $item,
        public readonly bool $reserve,
        public readonly bool $early,
    ) {
    }

    public function add(int $row, int $quantity, int $lastGoodDay): void
    {
        $this->members[] = [$row, $quantity, $lastGoodDay];
        $this->quantity += $quantity;
    }

    /** @return list<array{int, int}> row and pieces, the longest-lasting first */
    public function rows(): array
    {
        $members = $this->members;
        usort($members, static fn (array $one, array $other): int => [$other[2], $one[0]] <=> [$one[2], $other[0]]);

        return array_map(static fn (array $member): array => [$member[0], $member[1]], $members);
    }
}
