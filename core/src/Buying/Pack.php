<?php

declare(strict_types=1);

namespace Sarcina\Core\Buying;

/** A pack as it is sold: so many pieces at a price in whole minor units. */
final readonly class Pack
{
    public function __construct(
        public int $pieces,
        public int $price,
    ) {
    }
}
