<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Lists\Line;

/** A line of a kit's list or module, or one that its design adds: as the core judges it, what it is called, and where it goes. */
final readonly class KitPlanLine
{
    /**
     * @param  Line  $asked  its id is the line's code, with the module's name before it
     * @param  string|null  $listId  of the list or module that it stands in; null where the design adds it
     */
    public function __construct(
        public string $id,
        public Line $asked,
        public string $need,
        public ?string $pocketId,
        public ?string $reason,
        public ?string $listId,
    ) {
    }

    public function code(): string
    {
        return $this->asked->id;
    }
}
