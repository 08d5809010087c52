<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Buying\ItemToBuy;
use Sarcina\Core\Buying\Pack;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Places\Nearest;

final class ItemToBuyTest extends TestCase
{
    /** @var array<string, list<Pack>> */
    private array $packs = [];

    public function test_the_first_entry_wins_over_any_price(): void
    {
        $this->packs = ['pad' => [new Pack(1, 900)], 'cloth' => [new Pack(1, 1)]];
        $this->assertSame(
            'pad',
            $this->bought([Accepted::item('pad'), Accepted::class('dressing')], $this->item('cloth', 'dressing'), $this->item('pad', 'pad')),
        );
    }

    public function test_then_the_cheapest_piece_then_the_lightest_then_the_code(): void
    {
        $one = $this->item('b', 'dressing', 10);
        $other = $this->item('a', 'dressing', 20);
        $this->packs = ['a' => [new Pack(3, 100)], 'b' => [new Pack(1, 50), new Pack(10, 333)]];
        $this->assertSame('b', $this->bought([Accepted::class('dressing')], $other, $one), '33.3 a piece is less than 33.33….');
        $this->packs = ['a' => [new Pack(3, 100)]];
        $this->assertSame('a', $this->bought([Accepted::class('dressing')], $one, $other), 'What has no price is dearer than what has one.');
        $this->assertSame('a', $this->bought([Accepted::class('dressing')], $other, $one));
        $this->packs = [];
        $this->assertSame('b', $this->bought([Accepted::class('dressing')], $other, $one), 'The lighter.');
        $this->assertSame('a', $this->bought([Accepted::class('dressing')], $this->item('c', 'dressing', 10), $this->item('a', 'dressing', 10)));
    }

    public function test_what_is_superseded_unusable_or_not_accepted_is_not_bought(): void
    {
        $none = [$this->item('a', 'dressing', 1, 'b'), $this->item('no', 'dressing'), $this->item('c', 'tool')];
        $this->assertNull($this->bought([Accepted::class('dressing')], ...$none));
        $this->assertSame('z', $this->bought([Accepted::class('dressing')], ...[...$none, $this->item('z', 'dressing')]));
    }

    public function test_the_nearest_place_is_the_place_itself_or_what_it_is_in(): void
    {
        $in = ['shelf' => 'room', 'room' => 'house', 'house' => null];
        $nearest = static fn (string $place, string ...$are): ?string => Nearest::of(
            $place,
            static fn (string $at): ?string => $in[$at],
            static fn (string $at): bool => in_array($at, $are, true),
        );
        $this->assertSame(
            ['shelf', 'room', 'house', null],
            [$nearest('shelf', 'shelf', 'house'), $nearest('shelf', 'room', 'house'), $nearest('shelf', 'house'), $nearest('shelf')],
        );
    }

    /** @param  non-empty-list<Accepted>  $accepts */
    private function bought(array $accepts, Item ...$items): ?string
    {
        return ItemToBuy::for(
            Line::counted('L', Rank::Required, $accepts, 1),
            $items,
            static fn (Item $item): bool => $item->code !== 'no',
            fn (string $code): array => $this->packs[$code] ?? [],
        )?->code;
    }

    private function item(string $code, string $class, int $mass = 0, ?string $supersededBy = null): Item
    {
        return new Item($code, new ItemClass($class), false, $mass, [], Scope::Anyone, true, [], $supersededBy);
    }
}
