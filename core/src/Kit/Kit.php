<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

/** One physical bag: who it is for, and how heavy it may be (grams). */
final readonly class Kit
{
    public function __construct(
        public string $code,
        public Scope $scope,
        public ?int $maxMass,
        public int $emptyMass,
    ) {
    }
}
