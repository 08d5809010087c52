<?php

declare(strict_types=1);

namespace App\Judging;

/** A slot of a kit, and of which design the module is that it asks for. */
final readonly class PlanSlot
{
    public function __construct(
        public string $id,
        public string $name,
        public string $designId,
        public string $designName,
    ) {
    }
}
