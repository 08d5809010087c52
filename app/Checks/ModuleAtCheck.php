<?php

declare(strict_types=1);

namespace App\Checks;

/** What somebody did with a module of the kit that they checked: relied on its whole seal, or opened it. */
final readonly class ModuleAtCheck
{
    /**
     * @param  string|null  $sealSet  the number of the seal that it was closed with
     * @param  string|null  $sealFound  the number as it was read on it, where it was left closed
     */
    public function __construct(
        public string $code,
        public bool $relied,
        public ?string $sealSet,
        public ?string $sealFound = null,
    ) {
    }
}
