<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

use Sarcina\Core\Kit\Item;

/** The list that a kit is held to. */
final readonly class KitList
{
    /**
     * @param  list<Line>  $lines
     * @param  list<\Sarcina\Core\Kit\ItemClass>  $excludes
     */
    public function __construct(
        public string $code,
        public array $lines,
        public array $excludes,
    ) {
    }

    public function excludes(Item $item): bool
    {
        foreach ($this->excludes as $class) {
            if ($class->takes($item->class)) {
                return true;
            }
        }

        return false;
    }
}
