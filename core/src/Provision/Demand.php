<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** What the chosen plan asks of one area, overrides and all. */
final readonly class Demand
{
    /**
     * @param  array<string, int>  $kits  by size
     * @param  array<string, int>  $modules  by risk
     */
    public function __construct(
        public string $area,
        public array $kits,
        public array $modules,
    ) {
    }
}
