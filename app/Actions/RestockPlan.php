<?php

declare(strict_types=1);

namespace App\Actions;

/** What goes out of a kit, what goes in from the store, and what the store lacks. */
final readonly class RestockPlan
{
    /**
     * @param  list<array<string, mixed>>  $out
     * @param  list<array<string, mixed>>  $in
     * @param  list<array{item: string|null, what: string, line: string|null, quantity: int}>  $missing
     */
    public function __construct(
        public array $out,
        public array $in,
        public array $missing,
    ) {
    }
}
