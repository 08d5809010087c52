<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Buying\Pack;
use Sarcina\Core\Buying\Packs;

final class PacksTest extends TestCase
{
    public function test_the_cheapest_whole_packs_need_not_be_the_cheapest_per_piece(): void
    {
        $packs = [new Pack(1, 120), new Pack(10, 900)];
        $this->assertSame(
            [0, 120, 840, 900, 900, 1020],
            array_map(static fn (int $pieces): ?int => Packs::leastFor($pieces, $packs), [0, 1, 7, 8, 10, 11]),
        );
        $this->assertSame(100, Packs::leastFor(3, [new Pack(5, 100)]));
        $this->assertSame(0, Packs::leastFor(0, []), 'No pieces cost nothing, even of what nobody sells.');
        $this->assertNull(Packs::leastFor(1, []), 'What nobody sells has no cost, and not the cost nought.');
    }

    public function test_by_the_piece_is_summed_exactly_and_rounded_once(): void
    {
        $three = [new Pack(3, 100)];
        $this->assertSame(33, Packs::byThePiece([[1, $three]]));
        $this->assertSame(67, Packs::byThePiece([[1, $three], [1, $three]]), 'Two thirds, rounded up; not twice a third rounded down.');
        $this->assertSame(100, Packs::byThePiece([[3, $three], [4, []]]));
        $this->assertSame(1, Packs::byThePiece([[1, [new Pack(2, 1)]]]), 'Half up.');
    }
}
