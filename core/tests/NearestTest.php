<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Places\Nearest;

/** Places within places: which of several is nearest. */
final class NearestTest extends TestCase
{
    private const PARENTS = [
        'site' => null, 'house' => 'site', 'hall' => 'house', 'desk' => 'hall', 'attic' => 'house', 'shed' => 'site', 'shelf' => 'shed',
        'box' => 'shelf', 'elsewhere' => null, 'far' => 'elsewhere',
    ];

    public function test_the_nearest_place_that_it_is_in(): void
    {
        $is = static fn (string ...$ones): callable => static fn (string $one): bool => in_array($one, $ones, true);
        $this->assertSame('desk', Nearest::of('desk', self::parent(...), $is('desk', 'hall')));
        $this->assertSame('hall', Nearest::of('desk', self::parent(...), $is('hall', 'site')));
        $this->assertSame('site', Nearest::of('desk', self::parent(...), $is('site', 'shed')));
        $this->assertNull(Nearest::of('desk', self::parent(...), $is('shed')));
    }

    public function test_the_nearest_of_several_shares_the_nearest_place(): void
    {
        $among = static fn (string $place, string ...$candidates): ?string => Nearest::among($place, self::parent(...), array_values($candidates));
        $this->assertSame('desk', $among('desk', 'hall', 'desk'));
        $this->assertSame('hall', $among('desk', 'attic', 'hall'), 'What it is in before what is beside that.');
        $this->assertSame('attic', $among('desk', 'shed', 'attic'), 'The same house before another one.');
        $this->assertSame('site', $among('desk', 'box', 'shed', 'site'), 'What all are in before what is within it.');
        $this->assertSame('box', $among('desk', 'box', 'shed'), 'Both are within the site: the first.');
        $this->assertSame('shed', $among('desk', 'shed', 'box'));
        $this->assertSame('box', $among('shed', 'box', 'desk'), 'Down within it before up and out of it.');
        $this->assertSame('attic', $among('house', 'attic', 'hall'), 'Alike in all: the first.');
        $this->assertSame('hall', $among('house', 'hall', 'attic'));
        $this->assertNull($among('desk', 'far', 'elsewhere'));
        $this->assertNull($among('desk'));
        $this->assertSame('far', $among('far', 'desk', 'far'));
    }

    private static function parent(string $place): ?string
    {
        return self::PARENTS[$place];
    }
}
