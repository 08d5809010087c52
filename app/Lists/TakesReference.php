<?php

declare(strict_types=1);

namespace App\Lists;

/** Takes over generic items, starter lists, house lists and modules that ship with the application, in whole or in part. */
interface TakesReference
{
    /**
     * What is there already stays as it is. A list brings the items that it names, with what they need beside them.
     *
     * @param  bool  $allItems  the whole catalogue of generic items
     * @param  list<string>|null  $lists  their codes; null: all
     */
    public function take(bool $allItems, ?array $lists): void;

    /** @return list<array{code: string, title: string, size: string|null, basis: string, kind: string, lines: int}> */
    public function lists(): array;

    /** How many generic items ship. */
    public function items(): int;
}
