<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** So many pieces of any of the named items that others in the kit do not work without. */
final readonly class MissingCompanion
{
    /**
     * @param  non-empty-list<string>  $anyOf  item codes
     * @param  non-empty-list<string>  $for  the items that are unpaired for it
     */
    public function __construct(
        public array $anyOf,
        public int $pieces,
        public array $for,
    ) {
    }
}
