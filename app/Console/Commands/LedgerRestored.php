<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Ledger\Checkpoint;
use App\Ledger\Keys;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Record;
use App\Support\Transaction;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use RuntimeException;

final class LedgerRestored extends Command
{
    protected $signature = 'ledger:restored {checkpoint : the checkpoint of the backup that was restored} {--by= : who restored it}';

    protected $description = 'Records that the database was restored from a backup, and begins a new epoch';

    public function handle(Record $record, Keys $keys): int
    {
        $by = $this->option('by');
        if (! is_string($by) || $by === '') {
            $this->error('Say who restored it: --by "Full Name".');

            return 2;
        }
        try {
            $checkpoint = Checkpoint::read((string) @file_get_contents($this->file()), $keys);
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return 2;
        }
        $number = Transaction::run(
            fn (): int => $record->write(
                Operation::now(Str::lower((string) Str::ulid()), OperationKind::Restore, null, now(), Organisation::current()->today())->saying(
                    $by,
                    "The backup's checkpoint is of {$checkpoint->day}: operation {$checkpoint->number} of epoch ".
                        "{$checkpoint->epoch}, {$checkpoint->hash}",
                ),
            ),
        );
        $this->info("Recorded as operation {$number}. Verify the record now: artisan ledger:verify --checkpoint FILE");

        return self::SUCCESS;
    }

    private function file(): string
    {
        $file = $this->argument('checkpoint');

        return is_string($file) ? $file : '';
    }
}
