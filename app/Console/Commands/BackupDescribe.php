<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupKey;
use App\Backup\Manifest;
use App\Backup\Secrets;
use App\Console\SaysText;
use Illuminate\Console\Command;
use RuntimeException;

final class BackupDescribe extends Command
{
    use SaysText;

    protected $signature = 'backup:describe {folder : what the backup is made of} {to : where its description goes}
        {--instance= : whose it is} {--reason= : why it is made} {--key= : the key of its backups} {--secrets= : the .env whose keys go with it}';

    protected $description = 'Writes the manifest of a backup and its HMAC; run by bin/sarcina';

    public function handle(): int
    {
        [$folder, $to] = [$this->text('folder'), $this->text('to')];
        $secrets = Secrets::in((string) file_get_contents($this->text('secrets')));
        try {
            $key = is_file($this->text('key')) ? BackupKey::read((string) file_get_contents($this->text('key'))) : null;
            if ($key !== null) {
                // The keys go in only if the backup is encrypted.
                file_put_contents("{$folder}/".Secrets::FILE, json_encode($secrets, JSON_THROW_ON_ERROR));
            }
            $at = now()->utc()->format('Y-m-d\TH:i:s\Z');
            $manifest = Manifest::describe($folder, $this->text('instance'), $this->text('reason'), $at, Secrets::known($secrets), $key)->json();
            file_put_contents("{$to}/".Manifest::FILE, $manifest);
            if ($key !== null) {
                file_put_contents("{$to}/".Manifest::CODE, $key->authenticate($manifest)."\n");
            }
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
