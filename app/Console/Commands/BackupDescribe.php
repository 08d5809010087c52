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

    protected $signature = 'backup:describe {folder : what the backup is made of}
        {--instance= : whose it is} {--reason= : why it is made} {--key= : the key pair} {--secrets= : the .env whose keys are sealed}';

    protected $description = 'Seals the keys of the instance, and writes down what lies in a backup: run by bin/sarcina';

    public function handle(): int
    {
        $folder = $this->text('folder');
        $secrets = Secrets::in((string) file_get_contents($this->text('secrets')));
        try {
            $isSealed = is_file($this->text('key'));
            if ($isSealed) {
                $key = BackupKey::read((string) file_get_contents($this->text('key')));
                file_put_contents("{$folder}/backup-key.json", $key->json());
                file_put_contents("{$folder}/keys.sealed", $key->seal(json_encode($secrets, JSON_THROW_ON_ERROR))."\n");
            }
            $at = now()->utc()->format('Y-m-d\TH:i:s\Z');
            $manifest = Manifest::describe($folder, $this->text('instance'), $this->text('reason'), $at, Secrets::known($secrets));
            file_put_contents("{$folder}/".Manifest::FILE, $manifest->json());
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
