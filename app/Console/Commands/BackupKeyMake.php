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

    protected $description = 'Makes the key of the backups from SARCINA_BACKUP_PASSPHRASE';

    public function handle(): int
    {
        $passphrase = (string) getenv('SARCINA_BACKUP_PASSPHRASE');
        if ($passphrase === '') {
            $this->error('SARCINA_BACKUP_PASSPHRASE holds no passphrase.');

            return 2;
        }
        $file = $this->text('file');
        $key = BackupKey::make($passphrase);
        touch("{$file}.new");
        chmod("{$file}.new", 0600);
        file_put_contents("{$file}.new", $key->json());
        rename("{$file}.new", $file);
        $this->info("The key of these backups is {$key->fingerprint()}. Write that down beside the passphrase: a restore shows it.");

        return self::SUCCESS;
    }
}
