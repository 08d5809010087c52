<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** What matters of an item while one packs, beside what the rules judge. */
final readonly class Handling
{
    /**
     * @param  int|null  $startMinutes  for how many minutes it must have been started before it works
     * @param  string|null  $staging  what is done to it before it is packed, such as taking the wrapper off; null: nothing
     * @param  bool  $unwraps  whether that takes its wrapper off, on which there are two schools
     * @param  list<string>  $toldFrom  codes of items that it is taken for
     * @param  int|null  $bulk  millilitres that a piece takes up in a pocket; null: not known
     */
    public function __construct(
        public ?Layer $layer = null,
        public ?int $startMinutes = null,
        public ?string $staging = null,
        public bool $unwraps = false,
        public bool $keepDry = false,
        public bool $hasLatex = false,
        public bool $hasCaution = false,
        public array $toldFrom = [],
        public ?int $bulk = null,
    ) {
    }
}
