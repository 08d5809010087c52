<?php

declare(strict_types=1);

namespace App\Console\Fleet;

use App\Kits\Models\Kit;

/**
 * A kit of the fleet: made after a kit of the demo, with lots of its own.
 *
 * @phpstan-type Held array{row: array<string, int|string|null>, pocket: string, pocket_name: string, condition: string, quantity: int}
 */
final class FleetKit
{
    public int $lastOperation = 0;

    public string $lastDoneAt = '';

    public ?string $lastFull = null;

    /**
     * @param  list<Held>  $contents  each lot as a movement names it, and where it lies
     */
    public function __construct(
        public readonly string $id,
        public readonly string $code,
        public readonly string $name,
        public readonly Kit $model,
        public readonly string $placeId,
        public readonly string $place,
        public readonly int $walkOrder,
        public readonly array $contents,
    ) {
    }
}
