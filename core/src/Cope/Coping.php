<?php

declare(strict_types=1);

namespace Sarcina\Core\Cope;

/** How many casualties of one emergency the supplies of a kit suffice for, and what stands in the way of one more. */
final readonly class Coping
{
    public const SCOPE = 'scope';

    /**
     * @param  string|null  $because  "scope" where those who have the kit may not deal with it at all
     * @param  list<string>  $limitedBy  ids of needs, in their order
     */
    public function __construct(
        public string $code,
        public int $casualties,
        public ?string $because,
        public array $limitedBy,
    ) {
    }
}
