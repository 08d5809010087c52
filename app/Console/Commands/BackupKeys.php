<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Manifest;
use App\Backup\Secrets;
use App\Console\SaysText;
use Illuminate\Console\Command;
use RuntimeException;

final class BackupKeys extends Command
{
    use SaysText;

    private const BARE = "APP_NAME=Sarcina\nAPP_ENV=production\nAPP_DEBUG=false\n";

    protected $signature = 'backup:keys {folder : an unpacked backup} {env : the .env into which its keys go}
        {--same : only whether they are there already}';

    protected $description = 'Puts the keys of an opened backup into an .env; run by bin/sarcina';

    public function handle(): int
    {
        [$folder, $env] = [$this->text('folder'), $this->text('env')];
        $here = (string) @file_get_contents($env);
        try {
            if ($this->option('same') === true) {
                return Secrets::known(Secrets::in($here)) === Manifest::read($folder)->secretsKnownBy ? self::SUCCESS : self::FAILURE;
            }
            $text = Secrets::put($here === '' ? self::BARE : $here, $this->opened($folder));
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }
        if (preg_match('/^DB_PASSWORD=/m', $text) !== 1) {
            $text .= 'DB_PASSWORD='.bin2hex(random_bytes(16))."\n";
        }
        file_put_contents("{$env}.new", $text);
        chmod("{$env}.new", 0600);
        rename("{$env}.new", $env);

        return self::SUCCESS;
    }

    /**
     * @return array<string, string>
     *
     * @throws RuntimeException where there are none
     */
    private function opened(string $folder): array
    {
        if (! is_file("{$folder}/".Secrets::FILE)) {
            throw new RuntimeException('This backup was made without a key and holds no keys: it goes back only where the .env of its instance is.');
        }
        $secrets = json_decode((string) file_get_contents("{$folder}/".Secrets::FILE), true);

        return is_array($secrets) ? array_filter($secrets, is_string(...)) : [];
    }
}
