<?php

declare(strict_types=1);

namespace Sarcina\Core\Measure;

enum Dimension: string
{
    case Length = 'length';
    case Volume = 'volume';
    case Mass = 'mass';

    /** Steps of the finest grain in which this dimension is counted, per mm, ml or g. */
    public function grainsPerBase(): int
    {
        return match ($this) {
            self::Length => 1_000_000,
            self::Volume => 10_000_000_000,
            self::Mass => 1_000_000_000,
        };
    }
}
