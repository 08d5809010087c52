<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Exchange\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Validation\ValidationException;
use Throwable;

/** Takes an imported file in, whole or not at all. */
final class TakeImport implements ShouldQueue
{
    use Queueable;

    public int $timeout = 300;

    public int $tries = 3;

    public function __construct(public readonly string $import, public readonly string $by)
    {
    }

    public function handle(ImportFile $file): void
    {
        $import = Import::query()->find($this->import);
        if ($import === null || $import->state !== 'taking') {
            return;
        }
        try {
            $file->take($import, User::query()->where('id', $this->by)->firstOrFail());
        } catch (ValidationException $refused) {
            $file->giveBack($import, $refused->getMessage());
        }
    }

    public function failed(?Throwable $why): void
    {
        $import = Import::query()->find($this->import);
        if ($import !== null) {
            app(ImportFile::class)->giveBack($import, 'The import was interrupted. Nothing was imported; import it again.');
        }
    }
}
