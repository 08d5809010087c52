<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\MissingCompanion;
use Sarcina\Core\Lists\Line;

/** Pieces to put in: for a line, or as the companion that items in the kit do not work without. */
final readonly class Wanted
{
    /**
     * @param  Line|null  $line  null for a companion
     * @param  int|null  $lineIndex  the line's place in the list
     * @param  string|null  $item  the item to buy; null where the line names a class alone
     */
    private function __construct(
        public ?Line $line,
        public ?int $lineIndex,
        public ?MissingCompanion $companion,
        public ?string $item,
        public int $pieces,
        public bool $isCritical,
    ) {
    }

    public static function forLine(Line $line, int $index, ?string $item, int $pieces, bool $isCritical): self
    {
        return new self($line, $index, null, $item, $pieces, $isCritical);
    }

    public static function beside(MissingCompanion $companion, string $item): self
    {
        return new self(null, null, $companion, $item, $companion->pieces, false);
    }
}
