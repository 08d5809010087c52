<?php

declare(strict_types=1);

namespace Sarcina\Core\Cope;

use Sarcina\Core\Kit\Scope;

/** One kind of emergency: who may deal with it, and what each casualty takes. */
final readonly class Emergency
{
    /** @param  non-empty-list<Need>  $needs  at least one of them not reusable */
    public function __construct(
        public string $code,
        public Scope $scope,
        public array $needs,
    ) {
    }
}
