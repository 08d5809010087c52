<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

final class InvalidDocument extends \DomainException
{
    /** @param  non-empty-list<Problem>  $problems */
    private function __construct(public readonly array $problems)
    {
        parent::__construct(implode(' ', array_map(
            static fn (Problem $problem): string => "{$problem->path}: {$problem->message}",
            $problems,
        )));
    }

    /** @param  non-empty-list<Problem>  $problems */
    public static function because(array $problems): self
    {
        return new self($problems);
    }
}
