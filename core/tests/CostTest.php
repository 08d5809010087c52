<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Check\Cost;

/** Eight figures in three integers: each step is just more than all that the figures after it can come to along a path. */
final class CostTest extends TestCase
{
    public function test_the_steps_are_as_they_are_calculated(): void
    {
        // Three lines: a path has at most twelve edges' worth of pieces, so a step of rank is 13; the worst preference is 2, so one of preference is 25.
        $cost = new Cost(3, 2);
        $this->assertSame([-169, 1, 0], $cost->ofEffective(0, false, 1));
        $this->assertSame([-13, 25 + 2, 0], $cost->ofEffective(1, true, 2));
        $this->assertSame([-1, 25, 0], $cost->ofEffective(2, true, 0));
        $this->assertSame([0, 0, 2 - 13 * 25], $cost->ofReserve(1, 2));
        $this->assertSame([0, 0, -25], $cost->ofReserve(2, 0));
    }

    public function test_each_figure_outweighs_all_after_it(): void
    {
        foreach ([[1, 0], [2, 5], [40, 12]] as [$lines, $worst]) {
            $cost = new Cost($lines, $worst);
            $all = 4 * $lines;
            [$critical] = $cost->ofEffective(0, false, 0);
            [$required] = $cost->ofEffective(1, false, 0);
            [$optional] = $cost->ofEffective(2, false, 0);
            $this->assertLessThan($all * $required, $critical);
            $this->assertLessThan($all * $optional, $required);
            $this->assertGreaterThan($all * $cost->ofEffective(2, false, $worst)[1], $cost->ofEffective(2, true, 0)[1]);
            $this->assertLessThan($all * $cost->ofReserve(2, 0)[2], $cost->ofReserve(1, 0)[2]);
            $this->assertLessThan(-$all * $worst, $cost->ofReserve(2, 0)[2]);
        }
    }
}
