<?php

declare(strict_types=1);

namespace Tests\Long;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\Support\RandomFleet;
use Tests\TestCase;

/** The same as for two thousand, for twenty thousand random kits. */
#[Group('fleet')]
final class ManyRandomKitsTest extends TestCase
{
    use RandomFleet;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 10; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_random_kits_have_one_status_everywhere(int $seed): void
    {
        $this->compareRandomKits(2000, $seed);
    }
}
