<?php

declare(strict_types=1);

namespace App\Designs;

/** A leaf as somebody lays it out. */
final readonly class LaidOutLeaf
{
    /** @param  array<string, list<string>>  $pockets  codes of lines by the name of the pocket, in their order */
    public function __construct(public string $name, public array $pockets)
    {
    }
}
