<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\KeptBackups;
use App\Console\SaysText;
use Illuminate\Console\Command;

final class BackupTidy extends Command
{
    use SaysText;

    protected $signature = 'backup:tidy {folder : where backups lie}';

    protected $description = 'Removes backups of which newer ones are kept; run by bin/sarcina';

    public function handle(): int
    {
        $folder = $this->text('folder');
        $names = array_map(basename(...), glob("{$folder}/sarcina-*.tar") ?: []);
        foreach (KeptBackups::goes($names) as $name) {
            unlink("{$folder}/{$name}");
            $this->info("{$name} went: newer ones are kept.");
        }

        return self::SUCCESS;
    }
}
