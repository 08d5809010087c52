<?php

declare(strict_types=1);

namespace App\Designs;

/** A design as it is to be made. */
final readonly class NewDesign
{
    /** @param  list<LaidOutLeaf>  $leaves */
    public function __construct(
        public string $id,
        public string $name,
        public string $listId,
        public int $everyWeeks,
        public int $marginDays,
        public int $emptyMass,
        public bool $isSealed,
        public array $leaves,
    ) {
    }
}
