<?php

declare(strict_types=1);

namespace App\Support;

use Throwable;

/** Where something went wrong in the application's own files, without what was handed from one to another. */
final readonly class Trace
{
    private const LINES = 12;

    public function __construct(private Throwable $error)
    {
    }

    /** @return list<string> file and line, the innermost first */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->error->getTrace() as $step) {
            $file = $step['file'] ?? '';
            if (str_starts_with($file, base_path().'/') && ! str_contains($file, '/vendor/')) {
                $lines[] = substr($file, strlen(base_path()) + 1).':'.($step['line'] ?? 0);
            }
        }

        return array_slice($lines, 0, self::LINES);
    }
}
