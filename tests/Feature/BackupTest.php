<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\BackupKey;
use App\Backup\BackupWatch;
use App\Backup\KeptBackups;
use App\Backup\Manifest;
use App\Backup\SealedFile;
use App\Backup\Secrets;
use App\Support\SarcinaFolder;
use Illuminate\Console\Scheduling\Event;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** What backups rest on: the key pair, what is written down of one, which of them stay; and what keeps the disk free for them. */
final class BackupTest extends TestCase
{
    public function test_the_key_lies_on_the_machine_and_comes_back_from_passphrase_and_backup(): void
    {
        $key = self::key('four lanterns');
        $again = BackupKey::read($key->json());
        $this->assertSame($key->authenticate('as it was'), $again->authenticate('as it was'));
        $this->assertMatchesRegularExpression('/^([0-9a-f]{4} ){3}[0-9a-f]{4}$/', $key->fingerprint());
        $recovered = BackupKey::recover('four lanterns', $key->stretch());
        $this->assertSame([$key->fingerprint(), $key->forContents()], [$recovered->fingerprint(), $recovered->forContents()]);
        $this->assertNotSame($key->fingerprint(), BackupKey::recover('Four lanterns', $key->stretch())->fingerprint());
        $this->assertNotSame($key->fingerprint(), self::key('four lanterns')->fingerprint(), 'Each is stretched with another salt.');
        foreach (['salt' => base64_encode('short'), 'operations' => 1_000_000, 'memory' => 64_000_000_000] as $name => $changed) {
            try {
                BackupKey::recover('four lanterns', [$name => $changed] + $key->stretch());
                $this->fail('It was stretched.');
            } catch (RuntimeException $refused) {
                $this->assertStringContainsString('was changed', $refused->getMessage());
            }
        }
        $this->expectExceptionMessage('only a part of one');
        BackupKey::read(substr($key->json(), 0, 100));
    }

    public function test_contents_open_only_whole_and_with_the_key_that_encrypted_them(): void
    {
        $folder = sys_get_temp_dir().'/sealed-'.$this->ulid();
        mkdir($folder);
        $key = self::key('four lanterns')->forContents();
        foreach ([0, 10, 1_048_576, 2_500_000] as $bytes) {
            $text = $bytes === 0 ? '' : random_bytes($bytes);
            file_put_contents("{$folder}/open", $text);
            SealedFile::seal("{$folder}/open", "{$folder}/sealed", $key);
            $sealed = (string) file_get_contents("{$folder}/sealed");
            SealedFile::unseal("{$folder}/sealed", "{$folder}/again", $key);
            $this->assertTrue($text === file_get_contents("{$folder}/again"), "{$bytes} bytes");
            $changed = $sealed;
            $changed[intdiv(strlen($changed), 2)] = chr(ord($changed[intdiv(strlen($changed), 2)]) ^ 1);
            foreach ([[$changed, $key], [substr($sealed, 0, -1), $key], ["{$sealed}x", $key], ['', $key], [$sealed, random_bytes(32)]] as $at => [$other, $with]) {
                file_put_contents("{$folder}/sealed", $other);
                try {
                    SealedFile::unseal("{$folder}/sealed", "{$folder}/again", $with);
                    $this->fail("{$bytes} bytes, changed in way {$at}: it opened.");
                } catch (RuntimeException) {
                    $this->assertFileDoesNotExist("{$folder}/again");
                }
                file_put_contents("{$folder}/again", '');
            }
        }
        shell_exec('rm -rf '.escapeshellarg($folder));
    }

    /** @return iterable<string, array{string, array<string, bool>, string}> what is done to it, options, what is said */
    public static function forgeries(): iterable
    {
        yield 'as it was made' => ['true', [], 'is as it was made'];
        yield 'its manifest changed' => ['sed -i s/manual/daily/ manifest.json', [], 'not the passphrase of this backup, or the backup was changed'];
        yield 'its code changed' => ['echo 00 > manifest.mac', [], 'or the backup was changed'];
        yield 'its code taken away' => ['rm manifest.mac', [], 'its code was taken away'];
        yield 'its contents exchanged' => ['echo x > contents', [], 'do not open'];
        yield 'said to have no key' => ['sed -i s/stretch/nothing/ manifest.json', [], 'made without a key'];
        yield 'said to have no key, by hand' => ['sed -i s/stretch/nothing/ manifest.json', ['--unauthenticated' => true], 'whether it was changed is not known'];
    }

    /** @param  array<string, bool>  $options */
    #[DataProvider('forgeries')]
    public function test_a_backup_that_was_changed_is_refused_before_anything_of_it_is_loaded(string $how, array $options, string $says): void
    {
        $folder = sys_get_temp_dir().'/forged-'.$this->ulid();
        mkdir("{$folder}/in", 0o700, true);
        $key = self::key('four lanterns');
        file_put_contents("{$folder}/key", $key->json());
        file_put_contents("{$folder}/in/rows", "operations\t3\nkits\t0\n");
        file_put_contents("{$folder}/contents.tar", 'all of it');
        $manifest = Manifest::describe("{$folder}/in", 'own', 'manual', '2026-11-28T09:00:00Z', null, $key)->json();
        file_put_contents("{$folder}/manifest.json", $manifest);
        file_put_contents("{$folder}/manifest.mac", $key->authenticate($manifest));
        $this->artisan('backup:seal', ['folder' => $folder, '--key' => "{$folder}/key"])->assertSuccessful();
        $this->assertFileDoesNotExist("{$folder}/contents.tar");
        shell_exec('cd '.escapeshellarg($folder)." && {$how}");
        $isGood = str_contains($says, 'as it was made') || $options !== [];
        $this->artisan('backup:open', ['folder' => $folder, '--key' => "{$folder}/key", ...$options])->expectsOutputToContain($says)->assertExitCode($isGood ? 0 : 1);
        $this->assertSame($isGood, is_file("{$folder}/contents.tar"));
        shell_exec('rm -rf '.escapeshellarg($folder));
    }

    public function test_the_keys_of_an_instance_go_into_another_env_and_nothing_else_of_it(): void
    {
        $here = "APP_NAME=Sarcina\nAPP_KEY=base64:old\nDB_PASSWORD=mine\nLEDGER_KEYS=k1:old\n";
        $there = Secrets::in("APP_KEY=base64:new\nDB_PASSWORD=theirs\nLEDGER_KEYS=k2:new,k1:newer\nLEDGER_SIGNING_SEED=seed\n");
        $this->assertSame(['APP_KEY' => 'base64:new', 'LEDGER_KEYS' => 'k2:new,k1:newer', 'LEDGER_SIGNING_SEED' => 'seed'], $there);
        $put = Secrets::put($here, $there);
        $this->assertSame("APP_NAME=Sarcina\nDB_PASSWORD=mine\nAPP_KEY=base64:new\nLEDGER_KEYS=k2:new,k1:newer\nLEDGER_SIGNING_SEED=seed\n", $put);
        $this->assertSame(Secrets::known($there), Secrets::known(Secrets::in($put)));
        $this->assertNotSame(Secrets::known($there), Secrets::known(Secrets::in($here)));
        $this->expectExceptionMessage('no LEDGER_SIGNING_SEED');
        Secrets::put($here, array_diff_key($there, ['LEDGER_SIGNING_SEED' => 0]));
    }

    public function test_a_backup_says_what_is_missing_changed_or_put_in(): void
    {
        $folder = sys_get_temp_dir().'/backup-'.$this->ulid();
        mkdir("{$folder}/checkpoints", 0o700, true);
        file_put_contents("{$folder}/rows", "operations\t3\nkits\t0\n");
        file_put_contents("{$folder}/database.sql.gz", 'as it was');
        file_put_contents("{$folder}/checkpoints/checkpoint-2026-11-28.json", '{}');
        file_put_contents("{$folder}/manifest.json", Manifest::describe($folder, 'own', 'manual', '2026-11-28T09:00:00Z', null)->json());
        $read = Manifest::read($folder);
        $this->assertSame([['kits' => 0, 'operations' => 3], []], [$read->rows, $read->faults($folder)]);
        file_put_contents("{$folder}/database.sql.gz", 'as it is');
        unlink("{$folder}/checkpoints/checkpoint-2026-11-28.json");
        file_put_contents("{$folder}/more", '');
        $this->assertEqualsCanonicalizing([
            'database.sql.gz is not as it was written.', 'checkpoints/checkpoint-2026-11-28.json is missing.', 'more was not in this backup when it was made.',
        ], $read->faults($folder));
        unlink("{$folder}/manifest.json");
        $this->artisan('backup:check', ['folder' => $folder])->expectsOutputToContain('This is no backup of Sarcina')->assertFailed();
        shell_exec('rm -rf '.escapeshellarg($folder));
    }

    public function test_seven_days_four_weeks_and_twelve_months_stay(): void
    {
        $names = [];
        for ($day = 0; $day < 500; $day++) {
            $at = strtotime("2026-11-28 02:30:00 UTC -{$day} days");
            $names[] = 'sarcina-own-'.gmdate('Ymd\THis\Z', (int) $at).'-daily.tar';
        }
        $byHand = 'sarcina-own-20240101T000000Z-manual.tar';
        $upgrades = array_map(static fn (int $month): string => "sarcina-own-20260{$month}01T000000Z-upgrade.tar", [1, 2, 3, 4, 5]);
        $goes = KeptBackups::goes([...$names, $byHand, ...$upgrades, 'something-else.tar']);
        $stays = array_values(array_diff($names, $goes));
        // 28 November is a Saturday: its week, and the newest of the three before it; the last day of each month before.
        $days = ['20261128', '20261127', '20261126', '20261125', '20261124', '20261123', '20261122', '20261115', '20261108',
            '20261031', '20260930', '20260831', '20260731', '20260630', '20260531', '20260430', '20260331', '20260228', '20260131', '20251231'];
        $this->assertSame(array_map(static fn (string $day): string => "sarcina-own-{$day}T023000Z-daily.tar", $days), $stays);
        $this->assertSame(array_slice($upgrades, 0, 2), array_values(array_intersect($upgrades, $goes)));
        $this->assertNotContains($byHand, $goes);
        // Kept day by day it comes to the same.
        $kept = [];
        foreach (array_reverse($names) as $name) {
            $kept[] = $name;
            $kept = array_values(array_diff($kept, KeptBackups::goes($kept)));
        }
        $this->assertSame(count($stays), count($kept));
    }

    public function test_what_is_done_by_the_clock_waits_for_the_first_backup(): void
    {
        $due = collect(app(Schedule::class)->events())->filter(static fn (Event $event): bool => str_contains((string) $event->command, 'on.sh'));
        $this->assertSame(['30 2 * * *', '30 3 * * 0'], $due->pluck('expression')->values()->all());
        $this->assertStringContainsString('scheduled_backup', (string) $due->first()?->command);
        $key = SarcinaFolder::path('backup-key.json');
        $this->assertFileDoesNotExist($key);
        $this->assertFalse($due->firstOrFail()->filtersPass(app()));
        file_put_contents($key, '{}');
        try {
            $this->assertTrue($due->firstOrFail()->filtersPass(app()));
        } finally {
            unlink($key);
        }
    }

    public function test_a_lead_sees_on_today_what_is_wrong_with_the_backups_and_nobody_else_does(): void
    {
        $folder = sys_get_temp_dir().'/'.$this->ulid().'/own-watch';
        mkdir("{$folder}/backups", 0o700, true);
        $now = \Carbon\CarbonImmutable::parse('2026-11-28T09:00:00Z');
        $says = static fn (): ?string => (new BackupWatch($folder))->trouble($now)[0] ?? null;
        $this->assertSame('none', $says());
        file_put_contents("{$folder}/backup-key.json", '{}');
        $this->assertSame('late', $says(), 'There is a key, and no backup.');
        touch("{$folder}/backups/sarcina-own-20261126T085900Z-daily.tar");
        $this->assertSame('late', $says());
        touch("{$folder}/backups/sarcina-own-20261126T090100Z-manual.tar");
        $this->assertNull($says());
        file_put_contents("{$folder}/backups/drill", "2026-11-22T03:30:00Z failed sarcina-own-20261122T023000Z-daily.tar\n");
        $this->assertSame('drill_failed', $says());
        file_put_contents("{$folder}/backups/drill", "2026-11-22T03:30:00Z well sarcina-own-20261122T023000Z-daily.tar\n");
        $this->assertNull($says());
        shell_exec('rm -rf '.escapeshellarg(dirname($folder)));
        $key = SarcinaFolder::path('backup-key.json');
        file_put_contents($key, '{}');
        try {
            $this->assertSame('late', $this->actAs('lead')->getJson('/api/today')->assertOk()->json('backup_trouble'));
            $this->assertNull($this->actAs('keeper')->getJson('/api/today')->assertOk()->json('backup_trouble'));
        } finally {
            unlink($key);
        }
        $this->assertNull($this->actAs('lead')->getJson('/api/today')->assertOk()->json('backup_trouble'));
    }

    public function test_a_log_never_fills_the_disk(): void
    {
        $log = SarcinaFolder::path('bound-test.log');
        $line = str_repeat('x', 99)."\n";
        file_put_contents($log, str_repeat($line, 110_000)."the last\n");
        $open = fopen($log, 'a');
        assert($open !== false);
        $this->artisan('logs:bound')->assertSuccessful();
        fwrite($open, "after it\n");
        fclose($open);
        $this->assertSame("after it\n", file_get_contents($log), 'Who writes to it goes on at its beginning.');
        $this->assertSame(1_000_000, filesize("{$log}.1"));
        $this->assertStringEndsWith("the last\n", (string) file_get_contents("{$log}.1"));
        $this->assertSame(0o600, fileperms("{$log}.1") & 0o777);
        $this->artisan('logs:bound')->assertSuccessful();
        $this->assertSame("after it\n", file_get_contents($log));
        unlink($log);
        unlink("{$log}.1");
    }

    public function test_a_fault_of_the_database_is_logged_without_its_values(): void
    {
        $log = storage_path('logs/sarcina.log');
        $before = is_file($log) ? (int) filesize($log) : 0;
        try {
            DB::table('users')->where('email', 'a-private-address')->orderBy('no_such_column')->get();
        } catch (\Illuminate\Database\QueryException $error) {
            report($error);
        }
        report(new \App\Support\Stale('Somebody else changed it.', [], 0));
        $said = (string) file_get_contents($log, offset: $before);
        $this->assertStringContainsString('The database refused, code 1054', $said);
        $this->assertStringContainsString('tests/Feature/BackupTest.php', $said);
        $this->assertStringNotContainsString('a-private-address', $said);
        $this->assertStringNotContainsString('Somebody else', $said, 'What was refused in words is no fault.');
    }

    private static function key(string $passphrase): BackupKey
    {
        return BackupKey::make($passphrase, SODIUM_CRYPTO_PWHASH_OPSLIMIT_INTERACTIVE, SODIUM_CRYPTO_PWHASH_MEMLIMIT_INTERACTIVE);
    }
}
