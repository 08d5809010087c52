<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Reads an imported file to its end, and says row by row what would change. */
final class ReadImport implements ShouldQueue
{
    use Queueable;

    public int $timeout = 300;

    public int $tries = 3;

    public function __construct(public readonly string $import)
    {
    }

    public function handle(ImportFile $file): void
    {
        $import = Import::query()->find($this->import);
        while ($import !== null && $import->state === 'reading') {
            $import = $file->step($import);
        }
    }

    public function failed(?Throwable $why): void
    {
        $import = Import::query()->find($this->import);
        if ($import !== null) {
            app(ImportFile::class)->giveUp($import);
        }
    }
}
