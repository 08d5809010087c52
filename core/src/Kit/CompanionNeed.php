<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

/** What an item does not work without: so many pieces of any of the named items, per kit or per piece. */
final readonly class CompanionNeed
{
    /** @param  non-empty-list<string>  $anyOf item codes */
    public function __construct(
        public array $anyOf,
        public CompanionsPer $per,
        public int $quantity,
    ) {
    }

    /** The same for every need that names the same items, in whatever order. */
    public function set(): string
    {
        $codes = $this->anyOf;
        sort($codes, SORT_STRING);

        return implode("\n", $codes);
    }
}
