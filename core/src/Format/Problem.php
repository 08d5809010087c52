<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

/** What is wrong with a document, and where: a JSON pointer and a sentence. */
final readonly class Problem implements \JsonSerializable
{
    public function __construct(
        public string $path,
        public string $message,
    ) {
    }

    /** @return array{path: string, message: string} */
    public function jsonSerialize(): array
    {
        return ['path' => $this->path, 'message' => $this->message];
    }
}
