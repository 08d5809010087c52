<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Support\RandomFleet;
use Tests\TestCase;

/** Page, list, Today, file and rule say the same of every kit, whatever is in it and known about it. */
final class RandomKitsTest extends TestCase
{
    use RandomFleet;

    public function test_two_thousand_random_kits_have_one_status_everywhere(): void
    {
        $this->compareRandomKits(2000, 1101);
    }
}
