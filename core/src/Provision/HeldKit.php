<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** A kit that exists, as the carrying out of a plan sees it. */
final readonly class HeldKit
{
    /**
     * @param  string|null  $area  the area it is in, or null where it is in none of them
     * @param  KitSize|null  $size  what of a plan it is; null for a kit that no plan asks for, such as an event post
     * @param  list<string>  $modules  that it carries
     */
    public function __construct(
        public string $id,
        public ?string $area,
        public ?KitSize $size,
        public array $modules,
    ) {
    }
}
