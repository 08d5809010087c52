<?php

declare(strict_types=1);

namespace App\Checks;

use App\Judging\ContentRow;

/** What lies in a kit after a check was recorded. */
final readonly class ContentsAfter
{
    /**
     * @param  list<ContentRow>  $rows
     * @param  list<string>  $inDoubt  keys of rows that could not be decided (ContentRow::key)
     */
    public function __construct(
        public array $rows,
        public array $inDoubt = [],
    ) {
    }
}
