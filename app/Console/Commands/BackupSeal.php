<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupKey;
use App\Backup\Manifest;
use App\Backup\SealedFile;
use App\Console\SaysText;
use Illuminate\Console\Command;
use RuntimeException;

final class BackupSeal extends Command
{
    use SaysText;

    protected $signature = 'backup:seal {folder : with the contents of the backup as contents.tar} {--key= : the key of the backups}';

    protected $description = 'Encrypts the contents of a backup; without a key they stay as they are: run by bin/sarcina';

    public function handle(): int
    {
        [$open, $sealed] = ["{$this->text('folder')}/".Manifest::OPENED, "{$this->text('folder')}/".Manifest::CONTENTS];
        try {
            if (! is_file($this->text('key'))) {
                rename($open, $sealed);

                return self::SUCCESS;
            }
            SealedFile::seal($open, $sealed, BackupKey::read((string) file_get_contents($this->text('key')))->forContents());
            unlink($open);
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
