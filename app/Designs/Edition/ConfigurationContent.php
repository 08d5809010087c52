<?php

declare(strict_types=1);

namespace App\Designs\Edition;

/** A mission or a season, and what is asked for only in kits that are set to it. */
final readonly class ConfigurationContent
{
    /**
     * @param  list<string>  $lines  their codes
     * @param  list<string>  $slots  their paths: "Main, Winter roll"
     */
    public function __construct(
        public string $name,
        public array $lines,
        public array $slots,
    ) {
    }
}
