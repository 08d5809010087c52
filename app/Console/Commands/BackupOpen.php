<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupKey;
use App\Backup\Manifest;
use App\Backup\SealedFile;
use App\Console\SaysText;
use Illuminate\Console\Command;
use RuntimeException;

/** Verifies a backup before anything of it is unpacked or loaded. */
final class BackupOpen extends Command
{
    use SaysText;

    /** Tells bin/sarcina to ask for the passphrase and to try again. */
    public const WANTS_PASSPHRASE = 3;

    protected $signature = 'backup:open {folder : with manifest.json, manifest.mac and contents} {--key= : the key of this machine\'s backups}
        {--unauthenticated : also one that was made without a key} {--keep-key : the key is kept on this machine}';

    protected $description = 'Verifies a backup by its key, and decrypts its contents; run by bin/sarcina';

    public function handle(): int
    {
        $folder = $this->text('folder');
        try {
            $manifest = Manifest::read($folder);
            $code = trim((string) @file_get_contents("{$folder}/".Manifest::CODE, length: 200));
            if ($manifest->stretch === null || $code === '') {
                return $this->withoutKey($folder);
            }
            $key = $this->key($manifest);
            if ($key === null) {
                return self::WANTS_PASSPHRASE;
            }
            if (! hash_equals($key->authenticate(Manifest::text($folder)), $code)) {
                throw new RuntimeException('This is not the passphrase of this backup, or the backup was changed after it was made. '.
                    'Nothing was loaded.');
            }
            SealedFile::unseal("{$folder}/".Manifest::CONTENTS, "{$folder}/".Manifest::OPENED, $key->forContents());
            unlink("{$folder}/".Manifest::CONTENTS);
            $this->info("This backup was made at {$manifest->madeAt} with the key {$key->fingerprint()}, and is as it was made.");
            if ($this->option('keep-key') === true) {
                $this->keep($key);
            }
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    private function withoutKey(string $folder): int
    {
        if ($this->option('unauthenticated') !== true) {
            throw new RuntimeException('This backup was made without a key, or its code was taken away: nobody can say whether it was changed. '.
                'If you know that it was not, add --unauthenticated.');
        }
        rename("{$folder}/".Manifest::CONTENTS, "{$folder}/".Manifest::OPENED);
        $this->warn('This backup has no key: whether it was changed is not known.');

        return self::SUCCESS;
    }

    /** Gives this machine's key if the backup was made with it, else the key from the passphrase; null: no passphrase was given. */
    private function key(Manifest $manifest): ?BackupKey
    {
        if (is_file($this->text('key'))) {
            $here = BackupKey::read((string) file_get_contents($this->text('key')));
            if ($here->stretch() === $manifest->stretch) {
                return $here;
            }
        }
        $passphrase = (string) getenv('SARCINA_BACKUP_PASSPHRASE');

        return $passphrase === '' ? null : BackupKey::recover($passphrase, $manifest->stretch);
    }

    private function keep(BackupKey $key): void
    {
        $file = $this->text('key');
        file_put_contents("{$file}.new", $key->json());
        chmod("{$file}.new", 0600);
        rename("{$file}.new", $file);
    }
}
