<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Ledger\CheckpointFiles;
use App\Ledger\Head;
use Illuminate\Console\Command;

final class LedgerCheckpoint extends Command
{
    protected $signature = 'ledger:checkpoint';

    protected $description = 'Signs how far the record has come, and writes it to a file of this instance';

    public function handle(CheckpointFiles $files): int
    {
        $head = Head::read();
        $this->info($files->write($head, Organisation::current()->today())." is signed for operation {$head->number}.");

        return self::SUCCESS;
    }
}
