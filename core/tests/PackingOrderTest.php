<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Packing\Compartment;
use Sarcina\Core\Packing\Packing;
use Sarcina\Core\Packing\PackingOrder;
use Sarcina\Core\Packing\Weighing;

/** In which order a kit is packed, and when what it weighs is asked about. */
final class PackingOrderTest extends TestCase
{
    public function test_what_is_reached_last_is_packed_first(): void
    {
        $packing = new Packing([
            new Compartment('bag', closes: true), new Compartment('front', 'bag'), new Compartment('pouch', 'front', closes: true),
            new Compartment('roll', 'bag', closes: true), new Compartment('outside'), new Compartment('net', 'outside'),
        ], []);
        $pockets = ['front', 'pouch', 'roll', 'net'];

        self::assertSame(['roll', 'pouch', 'front', 'net'], PackingOrder::of($packing, $pockets));
        self::assertSame(['roll', 'front', 'net', 'pouch'], PackingOrder::of($packing, $pockets, ['pouch']), 'taken first on leaving: on top');
        self::assertSame(['net', 'roll', 'pouch', 'front'], PackingOrder::of($packing, $pockets, ['bag']), 'with all that lies in it');
    }

    public function test_of_pockets_reached_alike_the_one_named_first_is_packed_last(): void
    {
        $packing = new Packing([new Compartment('lid'), new Compartment('a', 'lid'), new Compartment('b', 'lid'), new Compartment('c', 'lid')], []);

        self::assertSame(['c', 'b', 'a'], PackingOrder::of($packing, ['a', 'b', 'c']));
        self::assertSame([], PackingOrder::of($packing, []));
    }

    public function test_the_order_holds_every_pocket_once_and_never_goes_outwards_and_in_again(): void
    {
        mt_srand(20261128);
        for ($round = 0; $round < 200; $round++) {
            $compartments = [];
            for ($at = 0; $at < 12; $at++) {
                $parent = $at === 0 || mt_rand(0, 2) === 0 ? null : 'p'.mt_rand(0, $at - 1);
                $compartments[] = new Compartment("p{$at}", $parent, closes: mt_rand(0, 1) === 1);
            }
            $packing = new Packing($compartments, []);
            $ids = array_map(static fn (Compartment $one): string => $one->id, $compartments);
            $order = PackingOrder::of($packing, $ids);
            self::assertEqualsCanonicalizing($ids, $order);
            $reaches = array_map($packing->reach(...), $order);
            $sorted = $reaches;
            rsort($sorted);
            self::assertSame($sorted, $reaches);
        }
    }

    public function test_a_mass_is_asked_about_beyond_five_per_cent_of_what_was_computed(): void
    {
        foreach ([[1000, 1050, false], [1000, 1051, true], [1000, 950, false], [1000, 949, true], [0, 1, true], [0, 0, false], [19, 20, true]] as [
            $computed, $weighed, $asks,
        ]) {
            self::assertSame($asks, (new Weighing($computed, $weighed))->isToExplain(), "{$weighed} g beside {$computed} g");
        }
    }
}
