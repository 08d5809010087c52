<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** One piece of work that turns the kits there are into the kits that the plan asks for. */
final readonly class Task
{
    /** @param  list<string>  $modules  to put into the kit that is made or upgraded */
    public function __construct(
        public TaskKind $kind,
        public ?string $area,
        public ?string $kit,
        public ?KitSize $size,
        public array $modules,
    ) {
    }
}
