<?php

declare(strict_types=1);

namespace App\Stock;

/** What goes out of a kit, what goes in from the store, and what the store lacks. */
final readonly class RestockPlan
{
    /**
     * @param  list<array{pocket_id: string, item: string, lot_id: string, lot: string|null, expires: string|null, condition: string, quantity: int, because: string, to: string}>  $out
     * @param  list<array{line: string|null, need: string, pocket_id: string|null, item: string, lot_id: string, lot: string|null, expires: string|null, quantity: int, short_dated: bool, stands_in: bool}>  $in
     * @param  list<array{item: string|null, what: string, line: string|null, quantity: int}>  $missing
     */
    public function __construct(
        public array $out,
        public array $in,
        public array $missing,
    ) {
    }
}
