<?php

declare(strict_types=1);

namespace Tests\Long;

use PHPUnit\Framework\Attributes\Group;
use Tests\Served\Client;
use Tests\Served\ServedTestCase;
use Tests\Support\OnInstance;

/** A backup is made, tried and put back; what was recorded after it is sent again by the devices, and counts once. */
#[Group('long')]
final class BackupTest extends ServedTestCase
{
    private const PASSPHRASE = 'four lanterns by the glasshouse';

    private static string $now = 'own-backup';

    private static string $file = '';

    protected function instanceName(): string
    {
        return self::$now;
    }

    public static function setUpBeforeClass(): void
    {
        putenv('SARCINA_BACKUP_PASSPHRASE='.self::PASSPHRASE);
        foreach (['own-backup', 'own-restored'] as $name) {
            self::clear($name);
        }
        [$exit, $said] = OnInstance::run('own-backup', 'begin_empty', 'load_demo');
        self::assertSame(0, $exit, implode("\n", $said));
        [$exit, $said] = OnInstance::run('own-backup', 'manual_backup');
        self::assertSame(0, $exit, implode("\n", $said));
        self::assertSame(1, preg_match('/^Backed up to (.+)$/m', implode("\n", $said), $file));
        self::$file = $file[1];
    }

    public static function tearDownAfterClass(): void
    {
        putenv('SARCINA_BACKUP_PASSPHRASE');
        foreach (['own-backup', 'own-restored'] as $name) {
            self::clear($name);
        }
    }

    protected function setUp(): void
    {
        self::$now = 'own-backup';
    }

    private static function clear(string $name): void
    {
        $var = dirname(__DIR__, 2)."/var/{$name}";
        if (is_dir($var)) {
            OnInstance::run($name, 'stop_server', 'stop_database');
            shell_exec('rm -rf '.escapeshellarg($var));
        }
    }

    public function test_a_backup_is_nobody_elses_to_read_and_holds_no_key_in_the_open(): void
    {
        $this->assertSame(0o600, fileperms(self::$file) & 0o777);
        $inside = (string) shell_exec('tar -xOf '.escapeshellarg(self::$file).' ./contents; tar -xOf '.escapeshellarg(self::$file).' ./manifest.json');
        foreach (['APP_KEY', 'LEDGER_KEYS', 'LEDGER_SIGNING_SEED', 'DB_PASSWORD'] as $name) {
            $secret = (string) preg_replace('/^k1:|^base64:/', '', $this->setting($name));
            $this->assertGreaterThan(10, strlen($secret));
            $this->assertStringNotContainsString($secret, $inside, $name);
        }
        foreach (['INSERT INTO', 'database.sql.gz'."\0", 'Tobias Renn', 'Quillhaven'] as $ofRecord) {
            $this->assertStringNotContainsString($ofRecord, $inside, 'What is recorded is encrypted.');
        }
    }

    public function test_a_passphrase_is_asked_for_and_a_short_one_warned_about(): void
    {
        $key = $this->var().'/backup-key.json';
        rename($key, "{$key}.away");
        try {
            putenv('SARCINA_BACKUP_PASSPHRASE');
            [$exit, $said] = OnInstance::run($this->instanceName(), 'manual_backup');
            $this->assertSame(64, $exit);
            $this->assertStringContainsString('set SARCINA_BACKUP_PASSPHRASE', implode("\n", $said));
            $this->assertFileDoesNotExist($key);
            putenv('SARCINA_BACKUP_PASSPHRASE=lantern');
            $this->assertStringContainsString('This passphrase has 7 characters', $this->instance('need_backup_key'));
        } finally {
            putenv('SARCINA_BACKUP_PASSPHRASE='.self::PASSPHRASE);
            rename("{$key}.away", $key);
        }
    }

    public function test_what_was_recorded_after_the_backup_is_sent_again_and_counts_once(): void
    {
        // Before the backup, and in it: one that a device holds all the same.
        $keeper = $this->signIn('keeper');
        $before = [$this->ulid(), $this->signedOnDevice($keeper, 'QH-01', 50)];
        $this->assertSame(200, $keeper->put("/api/checks/{$before[0]}", $before[1])['status']);
        preg_match('/^Backed up to (.+)$/m', $this->instance('manual_backup'), $file);
        $held = [$before];
        foreach (['QH-01', 'QH-02', 'QH-01', 'QH-03'] as $kit) {
            $held[] = $one = [$this->ulid(), $this->signedOnDevice($keeper, $kit, 40 - 8 * count($held))];
            $this->assertSame(200, $keeper->put("/api/checks/{$one[0]}", $one[1])['status']);
        }
        $inAll = $this->contents($keeper);
        $this->instance('stop_server', 'stop_database');

        // Another machine: nothing but the file and the passphrase.
        self::$now = 'own-restored';
        $said = $this->instance("restore:{$file[1]}:Maren Oduya");
        $this->assertStringContainsString('The record is whole', $said);
        $this->assertMatchesRegularExpression('/operations +\d+/', $said);
        $this->instance('bring_up');
        $this->assertSame(1, $this->number("SELECT COUNT(*) FROM operations WHERE id = '{$before[0]}'"));
        $this->assertSame(0, $this->number("SELECT COUNT(*) FROM operations WHERE id = '{$held[1][0]}'"), 'The backup is older.');
        $this->assertSame(2, $this->number('SELECT epoch FROM ledger_head'));
        $keeper = $this->signIn('keeper');
        $this->assertNotSame('', $keeper->get('/api/session')['body']['record'], 'By this a device knows that the record is another.');
        // Each sends all that it holds, and one of them twice.
        foreach ([...$held, $held[2]] as [$id, $check]) {
            $answer = $keeper->put("/api/checks/{$id}", $check);
            $this->assertSame(200, $answer['status'], (string) json_encode($answer['body']));
        }
        foreach ($held as [$id]) {
            $this->assertSame(1, $this->number("SELECT COUNT(*) FROM operations WHERE id = '{$id}'"));
        }
        $this->assertSame($inAll, $this->contents($keeper), 'Nothing is lost and nothing doubled.');
        $this->assertLedgerIsWhole();
    }

    public function test_a_drill_tries_the_newest_and_says_where_it_cannot_be_put_back(): void
    {
        $this->assertStringContainsString('The drill went well', $this->instance('drill'));
        $this->assertStringContainsString('drill: went well', $this->instance('say_backups'));
        $this->assertSame(0, $this->number("SELECT COUNT(*) FROM information_schema.schemata WHERE schema_name = 'sarcina_drill'"), 'Nothing of it stays.');
        // A newer one, changed by somebody who has the file and not the key.
        $folder = trim((string) shell_exec('mktemp -d'));
        $broken = $this->var().'/backups/sarcina-own-backup-29991231T000000Z-manual.tar';
        shell_exec("cd {$folder} && tar -xf ".escapeshellarg(self::$file).' && sed -i "s/\"operations\": /\"operations\": 1/" manifest.json && tar -cf '.escapeshellarg($broken).' .');
        try {
            [$exit, $said] = OnInstance::run($this->instanceName(), 'drill');
            $this->assertNotSame(0, $exit);
            $this->assertStringContainsString('the backup was changed after it was made', implode("\n", $said));
        } finally {
            @unlink($broken);
            shell_exec('rm -rf '.escapeshellarg($folder));
        }
    }

    public function test_a_dump_with_commands_in_it_runs_none_of_them_and_reaches_no_other_database(): void
    {
        $folder = trim((string) shell_exec('mktemp -d'));
        $ran = "{$folder}/ran";
        $lines = ["\\! touch {$ran}", "system touch {$ran}", "SELECT 1 INTO OUTFILE '{$ran}';", 'CREATE TABLE sarcina.put_in (n INT);', 'DROP TABLE sarcina.users;',
            'CREATE USER intruder@localhost;', 'CREATE TRIGGER t BEFORE INSERT ON here FOR EACH ROW SET @n = 1;', 'CREATE DEFINER=root@localhost VIEW v AS SELECT 1;'];
        try {
            foreach ($lines as $line) {
                file_put_contents("{$folder}/database.sql.gz", (string) gzencode("CREATE TABLE IF NOT EXISTS here (n INT);\n{$line}\n"));
                shell_exec('chmod -R a+rX '.escapeshellarg($folder));
                [$exit] = OnInstance::run($this->instanceName(), 'start_database', 'sql:-e:CREATE DATABASE IF NOT EXISTS sarcina_drill', "load_dump:{$folder}:sarcina_drill");
                $this->assertNotSame(0, $exit, $line);
                $this->assertFileDoesNotExist($ran, $line);
            }
            $this->assertSame(0, $this->number("SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = 'sarcina' AND table_name = 'put_in'"));
        } finally {
            OnInstance::run($this->instanceName(), 'sql:-e:DROP DATABASE IF EXISTS sarcina_drill');
            shell_exec('rm -rf '.escapeshellarg($folder));
        }
    }

    public function test_a_restore_goes_only_into_what_is_empty_with_the_right_passphrase_and_a_whole_file(): void
    {
        [$exit, $said] = OnInstance::run('own-backup', 'restore:'.self::$file.':Maren Oduya');
        $this->assertSame(64, $exit);
        $this->assertStringContainsString('a restore never writes over one', implode("\n", $said));
        self::clear('own-restored');
        self::$now = 'own-restored';
        putenv('SARCINA_BACKUP_PASSPHRASE=another one altogether');
        try {
            [$exit, $said] = OnInstance::run('own-restored', 'restore:'.self::$file.':Maren Oduya');
        } finally {
            putenv('SARCINA_BACKUP_PASSPHRASE='.self::PASSPHRASE);
        }
        $this->assertSame([1, true], [$exit, str_contains(implode("\n", $said), 'not the passphrase of this backup')]);
        // What was begun is not served, and can be begun anew.
        [$exit, $said] = OnInstance::run('own-restored', 'bring_up');
        $this->assertSame([1, true], [$exit, str_contains(implode("\n", $said), 'was broken off')]);
        $cut = sys_get_temp_dir().'/sarcina-cut-'.getmypid().'.tar';
        file_put_contents($cut, substr((string) file_get_contents(self::$file), 0, 60_000));
        [$exit, $said] = OnInstance::run('own-restored', "restore:{$cut}:Maren Oduya");
        unlink($cut);
        $this->assertSame([1, true], [$exit, str_contains(implode("\n", $said), 'only a part of one')], implode("\n", $said));
        $this->assertStringContainsString('Restored', $this->instance('restore:'.self::$file.':Maren Oduya'));
    }

    public function test_without_its_keys_it_does_not_start_and_a_backup_gives_them_back(): void
    {
        $key = $this->setting('LEDGER_KEYS');
        $this->instance('stop_server', 'stop_database');
        unlink($this->var().'/.env');
        $this->assertStringContainsString('made again from its copy', $this->instance('bring_up'));
        $this->assertSame($key, $this->setting('LEDGER_KEYS'));
        // Emptied but for a line: the copy is what counts, and is not written over.
        $this->instance('stop_server', 'stop_database');
        file_put_contents($this->var().'/.env', "APP_NAME=Sarcina\nMAIL_HOST=mail.tarn.example\n");
        $this->assertStringContainsString('holds no keys any more', $this->instance('bring_up'));
        $this->assertSame($key, $this->setting('LEDGER_KEYS'));
        // Without its password for the database it gets another.
        $this->instance('stop_server');
        file_put_contents($this->var().'/.env', (string) preg_replace('/^DB_PASSWORD=.*\n/m', '', (string) file_get_contents($this->var().'/.env')));
        $this->instance('bring_up');
        $this->assertGreaterThan(10, strlen($this->setting('DB_PASSWORD')));
        $this->assertSame(200, $this->signIn('member')->get('/api/today')['status']);
        $this->instance('stop_server', 'stop_database');
        unlink($this->var().'/.env');
        unlink($this->var().'/.env.kept');
        [$exit, $said] = OnInstance::run($this->instanceName(), 'bring_up');
        $this->assertSame(1, $exit);
        $this->assertStringContainsString('They hold the keys of the record', implode("\n", $said));
        $this->instance('restore_keys:'.self::$file);
        $this->instance('bring_up');
        $this->assertSame($key, $this->setting('LEDGER_KEYS'));
        $this->assertLedgerIsWhole();
        $this->assertSame(200, $this->signIn('member')->get('/api/today')['status']);
    }

    /** @return array<string, mixed> begun so many seconds ago and done two seconds later, by a clock that was compared with the server's */
    private function signedOnDevice(Client $client, string $kit, int $secondsAgo): array
    {
        $at = static fn (int $seconds): string => gmdate('Y-m-d\TH:i:s\Z', time() - $seconds);

        return [...$this->oneFewer($client, $kit), 'begun_at' => $at($secondsAgo), 'done_at' => $at($secondsAgo - 2), 'clock_checked_at' => $at(60)];
    }

    private function setting(string $name): string
    {
        return preg_match("/^{$name}=(.+)$/m", (string) file_get_contents($this->var().'/.env'), $line) === 1 ? $line[1] : '';
    }

    /** @return list<mixed> what is where, by kit, item, lot and number */
    private function contents(Client $client): array
    {
        $rows = [];
        foreach (['QH-01', 'QH-02', 'QH-03'] as $kit) {
            foreach ($client->get("/api/kits/{$kit}")['body']['contents'] as $row) {
                $rows[] = [$kit, $row['pocket_id'], $row['item'], $row['lot'], $row['quantity']];
            }
        }
        sort($rows);

        return $rows;
    }
}
