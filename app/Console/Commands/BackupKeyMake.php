<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupKey;
use App\Console\SaysText;
use Illuminate\Console\Command;

final class BackupKeyMake extends Command
{
    use SaysText;

    protected $signature = 'backup:key {file : where it is written}';

    protected $description = 'Makes the key pair of the backups, its secret half sealed under SARCINA_BACKUP_PASSPHRASE';

    public function handle(): int
    {
        $passphrase = (string) getenv('SARCINA_BACKUP_PASSPHRASE');
        if ($passphrase === '') {
            $this->error('SARCINA_BACKUP_PASSPHRASE holds no passphrase.');

            return 2;
        }
        $file = $this->text('file');
        file_put_contents("{$file}.new", BackupKey::make($passphrase)->json());
        chmod("{$file}.new", 0600);
        rename("{$file}.new", $file);

        return self::SUCCESS;
    }
}
