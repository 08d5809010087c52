<?php

declare(strict_types=1);

namespace App\Designs\Edition;

/** A line in a compartment. */
final readonly class PlacedLine
{
    /**
     * @param  int|null  $quantity  pieces of it, where it is split over several; null: all of it
     * @param  string|null  $fromDay  planned: asked for from that day on
     * @param  string|null  $waitsFor  planned without a day: asked for from when a lead says that it has begun
     */
    public function __construct(
        public string $code,
        public ?int $quantity = null,
        public ?string $fromDay = null,
        public ?string $waitsFor = null,
    ) {
    }
}
