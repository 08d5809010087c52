<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** So many kits of a size, or modules for a risk, and why. */
final readonly class Part
{
    private function __construct(
        public bool $isModule,
        public string $name,
        public int $count,
        public string $because,
    ) {
    }

    public static function kits(KitSize $size, int $count, string $because): self
    {
        return new self(false, $size->value, $count, $because);
    }

    /** @param  string  $name  a risk, or `no_running_water` */
    public static function modules(string $name, int $count, string $because): self
    {
        return new self(true, $name, $count, $because);
    }
}
