<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

/** Who may use an item; it rises from anyone to clinician (rules.md, check). */
enum Scope: string
{
    case Anyone = 'anyone';
    case FirstAider = 'first_aider';
    case Trained = 'trained';
    case Clinician = 'clinician';

    public function isAbove(self $other): bool
    {
        return $this->height() > $other->height();
    }

    private function height(): int
    {
        return match ($this) {
            self::Anyone => 0,
            self::FirstAider => 1,
            self::Trained => 2,
            self::Clinician => 3,
        };
    }
}
