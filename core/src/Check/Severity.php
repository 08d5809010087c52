<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** How grave a finding is. */
enum Severity: string
{
    case Stop = 'stop';
    case Fix = 'fix';
    case Note = 'note';

    public function isGraverThan(self $other): bool
    {
        return $this->rank() < $other->rank();
    }

    private function rank(): int
    {
        return match ($this) {
            self::Stop => 0,
            self::Fix => 1,
            self::Note => 2,
        };
    }
}
