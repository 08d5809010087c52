<?php

declare(strict_types=1);

namespace App\Stock;

/** Pieces by "lot condition". */
final readonly class MovedPieces
{
    /**
     * @param  array<string, int>  $after  put in less taken out, clearly after the count
     * @param  array<string, true>  $inDoubt  moved while it was counted, or nobody knows when
     */
    public function __construct(public array $after, public array $inDoubt)
    {
    }
}
