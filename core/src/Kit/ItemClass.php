<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

/** A class in the tree of items, written with dots: `dressing.sterile` lies below `dressing`. */
final readonly class ItemClass
{
    /** Of practice pieces: they are never there (rules.md, check). */
    public const TRAINING = 'training';

    public function __construct(public string $name)
    {
    }

    /** Whether `$other` is this class or lies below it, by whole dotted parts. */
    public function takes(self $other): bool
    {
        return $other->name === $this->name || str_starts_with($other->name, $this->name.'.');
    }
}
