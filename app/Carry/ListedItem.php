<?php

declare(strict_types=1);

namespace App\Carry;

use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Par\ListedQuantity;

/** A line of a list with the item that is carried for it. */
final readonly class ListedItem
{
    /**
     * @param  array{code: string, name: string, class: string, unit: string}|null  $item  null where nothing in the catalogue serves the line
     * @param  string|null  $measure  such as "9 m", where no item turns the total of the line into pieces; else null
     */
    public function __construct(
        public string $line,
        public string $need,
        public Rank $rank,
        public ?array $item,
        public ListedQuantity $asked,
        public ?string $measure,
    ) {
    }
}
