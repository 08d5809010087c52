<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Lists\Line;
use Sarcina\Core\Measure\Quantity;

/** How far a line is met: in pieces, or as measures where it asks for a total. */
final readonly class LineOutcome
{
    /**
     * @param  list<Placed>  $placed
     * @param  int|null  $reserve  null for a total line
     * @param  bool  $isShort  of effective pieces
     * @param  bool  $isShortAfterReserve  what makes a required line limit the kit
     */
    public function __construct(
        public Line $line,
        public int|Quantity $required,
        public int|Quantity $effective,
        public ?int $reserve,
        public int|Quantity $short,
        public bool $isShort,
        public bool $isShortAfterReserve,
        public array $placed,
    ) {
    }
}
