<?php

declare(strict_types=1);

namespace Sarcina\Core\Cope;

use Sarcina\Core\Lists\Accepted;

/** What one casualty of an emergency takes of one kind; a reusable one serves all of them. */
final readonly class Need
{
    /** @param  list<Accepted>  $accepts */
    public function __construct(
        public string $id,
        public int $quantity,
        public bool $isReusable,
        public array $accepts,
    ) {
    }

    /** How many pieces so many casualties at once ask for. */
    public function demand(int $casualties): int
    {
        return match (true) {
            $casualties === 0 => 0,
            $this->isReusable => $this->quantity,
            default => $this->quantity * $casualties,
        };
    }
}
