<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Check\Pile;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Scope;

/** Rows that the placement takes together. */
final class PileTest extends TestCase
{
    public function test_it_gives_the_longest_lasting_row_first_and_of_the_same_day_the_first_one(): void
    {
        $pile = new Pile(new Item('pad', new ItemClass('dressing'), true, 5, [], Scope::Anyone, true, [], null), false, false);
        foreach ([[0, 5, 100], [1, 2, 300], [2, 1, 300], [3, 9, 200], [4, 3, 300]] as [$row, $pieces, $lastGoodDay]) {
            $pile->add($row, $pieces, $lastGoodDay);
        }
        $this->assertSame(20, $pile->quantity);
        $this->assertSame([[1, 2], [2, 1], [4, 3], [3, 9], [0, 5]], $pile->rows());
    }
}
