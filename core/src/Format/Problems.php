<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

/** What is wrong with one document, as it is found. */
final class Problems
{
    /** @var list<Problem> */
    private array $problems = [];

    public function add(string $path, string $message): void
    {
        $this->problems[] = new Problem($path, $message);
    }

    public function count(): int
    {
        return count($this->problems);
    }

    /** @throws InvalidDocument */
    public function throwIfAny(): void
    {
        if ($this->problems !== []) {
            throw InvalidDocument::because($this->problems);
        }
    }
}
