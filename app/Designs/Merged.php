<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Draft\Draft;

/** Two people's changes of one design, joined. */
final readonly class Merged
{
    /**
     * @param  list<string>  $taken  what the other changed, and is taken
     * @param  list<string>  $clashes  what both changed otherwise, and how it stands
     */
    public function __construct(
        public Draft $draft,
        public array $taken,
        public array $clashes,
    ) {
    }
}
