<?php

declare(strict_types=1);

namespace Tests\Long;

use PHPUnit\Framework\Attributes\Group;
use Tests\Served\ServedTestCase;
use Tests\Support\OnInstance;

/** Whatever ended it, starting brings it back with all that was recorded, or says what is wrong and what to do. */
#[Group('long')]
final class StartTest extends ServedTestCase
{
    private static string $now = 'own-start';

    protected function instanceName(): string
    {
        return self::$now;
    }

    protected function tearDown(): void
    {
        OnInstance::run(self::$now, 'stop_server', 'stop_database');
    }

    public static function tearDownAfterClass(): void
    {
        shell_exec('rm -rf '.escapeshellarg(dirname(__DIR__, 2).'/var/own-start').' '.escapeshellarg(dirname(__DIR__, 2).'/var/main-start'));
    }

    public function test_killed_while_it_makes_the_tables_and_loads_the_demo(): void
    {
        self::$now = 'main-start';
        shell_exec('rm -rf '.escapeshellarg($this->var()));
        // Each time a little later: while the database is made, the tables, the demo; at the end it comes through.
        $killed = 0;
        foreach ([0.4, 1.2, 2.5, 4.5, 8.0, 12.0] as $after) {
            $killed += $this->startAndKill($after) ? 1 : 0;
        }
        $this->assertGreaterThan(2, $killed);
        $this->instance('bring_up');
        $this->assertSame(200, $this->signIn('lead')->get('/api/today')['status']);
        $this->assertGreaterThan(100, $this->number('SELECT COUNT(*) FROM operations'));
        $this->assertLedgerIsWhole();
    }

    public function test_killed_while_it_upgrades_with_data(): void
    {
        $this->ownWithData();
        $operations = $this->number('SELECT COUNT(*) FROM operations');
        // As if that migration had come with this version: it brings data up to date, and may run again.
        $this->waitingForUpgrade();
        $killed = 0;
        foreach ([0.8, 1.3, 1.8, 2.4, 3.2] as $after) {
            $killed += $this->startAndKill($after) ? 1 : 0;
        }
        $this->assertGreaterThan(1, $killed);
        $this->instance('bring_up');
        $this->assertSame($operations, $this->number('SELECT COUNT(*) FROM operations'));
        $this->assertLedgerIsWhole();
        $this->assertSame(0, $this->artisan('kits:verify', $said), $said);
        $this->assertNotSame([], glob($this->var().'/backups/*-upgrade.tar'), 'A backup was made before it by itself.');
    }

    public function test_an_upgrade_that_fails_leaves_the_database_as_it_was(): void
    {
        $this->ownWithData();
        $operations = $this->number('SELECT COUNT(*) FROM operations');
        // A migration of which a part is there already: it fails in the middle of what it does.
        $this->waitingForUpgrade('2026_11_30_000012_give_plan_tasks_and_set_store_levels');
        $tables = $this->number("SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = 'sarcina'");
        [$exit, $said] = OnInstance::run($this->instanceName(), 'bring_up');
        $this->assertSame(1, $exit, implode("\n", $said));
        $this->assertStringContainsString('the database is put back as it was before', implode("\n", $said));
        $this->assertSame($operations, $this->number('SELECT COUNT(*) FROM operations'));
        $this->assertSame($tables, $this->number("SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = 'sarcina'"));
        $this->assertFileDoesNotExist($this->var().'/run/upgrading');
        $this->assertStringContainsString('Start the version that you had before', implode("\n", $said));
        $this->instance('stop_database');
        shell_exec('rm -rf '.escapeshellarg($this->var()));
    }

    public function test_its_keepers_are_gone_and_some_of_what_they_kept_is_left(): void
    {
        $this->ownWithData();
        $pid = fn (string $name): int => (int) file_get_contents($this->var()."/run/{$name}");
        foreach (['fpm', 'nginx', 'db', 'worker', 'clock'] as $name) {
            posix_kill($pid("{$name}.keeper"), SIGKILL);
        }
        // PHP's master and nginx's are gone, their workers are not; the database was killed a moment ago.
        $left = array_filter(explode("\n", (string) shell_exec("pgrep -P {$pid('fpm.pid')}; pgrep -P {$pid('nginx.pid')}")));
        $this->assertNotSame([], $left);
        foreach (['fpm', 'nginx', 'db'] as $name) {
            posix_kill($pid("{$name}.pid"), SIGKILL);
        }
        $this->instance('bring_up');
        $this->assertSame(200, $this->signIn('lead')->get('/api/today')['status']);
        // What was left holds nothing any more; a number may be another program's by now, or wait for its parent to take note of its end.
        $isOurs = static fn (string $process): bool => preg_match('/^(nginx|php-fpm)/', (string) @file_get_contents("/proc/{$process}/comm")) === 1
            && preg_match('/^State:\s+Z/m', (string) @file_get_contents("/proc/{$process}/status")) !== 1;
        $this->waitFor(static fn (): bool => array_filter($left, $isOurs) === [], 'what was left to be ended');
        $this->assertLedgerIsWhole();
    }

    public function test_where_it_cannot_write_or_has_no_room_it_says_so(): void
    {
        $this->ownWithData();
        $this->instance('stop_server', 'stop_database');
        putenv('LEAST_MB=999999999');
        try {
            [$exit, $said] = OnInstance::run($this->instanceName(), 'bring_up');
        } finally {
            putenv('LEAST_MB');
        }
        $this->assertSame(1, $exit);
        $this->assertMatchesRegularExpression('/Only \d+ MB are left on .+ Make room there, then start again\. Nothing that was recorded is lost/', implode("\n", $said));
        chmod($this->var(), 0o500);
        try {
            [$exit, $said] = OnInstance::run($this->instanceName(), 'bring_up');
        } finally {
            chmod($this->var(), 0o700);
        }
        $this->assertSame(1, $exit);
        $this->assertStringContainsString('cannot be written', implode("\n", $said));
        $this->instance('bring_up');
    }

    private function ownWithData(): void
    {
        self::$now = 'own-start';
        if (! is_dir($this->var().'/db/sarcina')) {
            $this->instance('begin_empty', 'load_demo');
        }
        $this->instance('bring_up');
    }

    /** The tables are said to lack what a migration does. */
    private function waitingForUpgrade(string $from = '2026_11_30_000013'): void
    {
        $this->instance('stop_server');
        foreach (['migrations', 'migration_checksums'] as $table) {
            $this->database()->exec("DELETE FROM {$table} WHERE migration LIKE '{$from}%'");
        }
    }

    /** @return bool whether it was still at work */
    private function startAndKill(float $afterSeconds): bool
    {
        $run = proc_open(
            ['setsid', dirname(__DIR__, 2).'/bin/lib/on.sh', $this->instanceName(), 'bring_up'],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, null, OnInstance::environment(),
        );
        $this->assertIsResource($run);
        $pid = proc_get_status($run)['pid'];
        $end = microtime(true) + $afterSeconds;
        while (microtime(true) < $end && proc_get_status($run)['running']) {
            usleep(5_000);
        }
        $isRunning = proc_get_status($run)['running'];
        // It and all that it started, but for what has a keeper: as when a terminal is closed and the machine is short of memory.
        posix_kill(-$pid, SIGKILL);
        proc_close($run);

        return $isRunning;
    }
}
