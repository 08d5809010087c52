<?php

declare(strict_types=1);

namespace Tests\Served;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Tests\Support\OnInstance;

/** What an instance keeps on the disk, and which processes it touches. */
final class FilesTest extends TestCase
{
    private const ROOT = __DIR__.'/../../var';

    public function test_nothing_of_an_instance_can_be_read_by_others(): void
    {
        $open = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(self::ROOT.'/test', \FilesystemIterator::SKIP_DOTS), RecursiveIteratorIterator::SELF_FIRST);
        foreach ($files as $file) {
            // Of the database its folder is enough: it makes and removes files while they are looked through.
            if ($file instanceof SplFileInfo && ! str_contains($file->getPathname(), '/db/') && in_array($file->getType(), ['file', 'dir'], true) && ($file->getPerms() & 0o077) !== 0) {
                $open[] = $file->getPathname().' '.decoct($file->getPerms() & 0o777);
            }
        }
        $this->assertSame(0o700, fileperms(self::ROOT.'/test') & 0o777);
        $this->assertSame([], $open);
    }

    public function test_a_folder_for_sockets_that_somebody_else_prepared_is_not_used(): void
    {
        [$exit, $said] = OnInstance::run('test', 'socket_folder');
        $this->assertSame([0, [(string) realpath(self::ROOT.'/test/run')]], [$exit, $said]);
        $long = sys_get_temp_dir().'/'.str_repeat('a-long-name/', 9);
        $planted = sys_get_temp_dir().'/sarcina-planted-'.getmypid();
        @mkdir("{$long}/run", 0o700, true);
        mkdir($planted, 0o777);
        chmod($planted, 0o777);
        file_put_contents("{$long}/run/sockets", $planted);
        try {
            $script = '. bin/lib/instance.sh; var='.escapeshellarg(rtrim($long, '/')).'; socket_folder';
            $made = trim((string) shell_exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && bash -c '.escapeshellarg($script)));
            $this->assertNotSame($planted, $made);
            $this->assertSame(0o700, fileperms($made) & 0o777);
            $again = trim((string) shell_exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && bash -c '.escapeshellarg($script)));
            $this->assertSame($made, $again, 'its own is used again');
            rmdir($made);
        } finally {
            rmdir($planted);
            shell_exec('rm -rf '.escapeshellarg(sys_get_temp_dir().'/a-long-name'));
        }
    }

    public function test_a_process_that_was_started_a_moment_ago_is_of_the_instance(): void
    {
        // Until it runs its own program it has the name of the shell that started it.
        $script = '. bin/lib/instance.sh; var=$(mktemp -d); sleep 600 & echo $! > "$var/pid"; alive "$var/pid" && echo ours; kill $!; rm -r "$var"';
        $said = shell_exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && bash -c '.escapeshellarg($script));
        $this->assertSame('ours', trim((string) $said));
    }

    public function test_a_keeper_that_was_replaced_or_whose_instance_is_gone_starts_nothing_any_more(): void
    {
        foreach (['echo 1 > "$var/run/thing.keeper"', 'rm -r "$var/run"'] as $then) {
            $script = '. bin/lib/keep.sh; var=$(mktemp -d); mkdir "$var/run"; keep_running thing TERM sleep 600; keeper=$(cat "$var/run/thing.keeper")
                until [ -s "$var/run/thing.pid" ]; do :; done; child=$(cat "$var/run/thing.pid"); '.$then.'; kill -KILL "$child"
                for _ in $(seq 100); do kill -0 "$keeper" 2>/dev/null || { echo ended; break; }; read -rt 0.1 <> <(:) || :; done
                kill -KILL "$keeper" 2>/dev/null; rm -r "$var"';
            $said = shell_exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && bash -c '.escapeshellarg($script));
            $this->assertSame('ended', trim((string) $said), $then);
        }
    }

    public function test_room_is_looked_for_where_there_is_nothing_yet(): void
    {
        $script = 'set -euo pipefail; . bin/lib/instance.sh; folder=$(mktemp -d); check_disk "$folder/none/yet"; [ -d "$folder/none/yet" ] && echo made; rm -r "$folder"; check_disk /proc/none/yet';
        exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && bash -c '.escapeshellarg($script).' 2>&1', $said, $exit);
        $this->assertSame([1, 'made'], [$exit, $said[0] ?? '']);
        $this->assertStringContainsString('/proc/none/yet cannot be written', $said[1] ?? '', 'It never ends without a word.');
    }

    public function test_nothing_is_served_by_root(): void
    {
        foreach (['nginx', 'fpm', 'db', 'worker', 'clock'] as $name) {
            $pid = trim((string) file_get_contents(self::ROOT."/test/run/{$name}.pid"));
            $processes = [$pid, ...array_filter(explode("\n", (string) shell_exec("pgrep -P {$pid}")))];
            foreach ($processes as $process) {
                $status = (string) @file_get_contents("/proc/{$process}/status");
                $this->assertSame(1, preg_match('/^Uid:\s+(\d+)\s+(\d+)/m', $status, $user), "{$name} does not run.");
                $this->assertNotContains('0', [$user[1], $user[2]], "{$name} runs as root.");
            }
        }
    }

    public function test_a_process_that_is_not_of_the_instance_is_never_ended(): void
    {
        $stranger = proc_open(['sleep', '600'], [], $pipes);
        $this->assertIsResource($stranger);
        $pid = proc_get_status($stranger)['pid'];
        @mkdir(self::ROOT.'/strange/run', 0o700, true);
        foreach (['nginx', 'fpm', 'worker', 'clock', 'db'] as $name) {
            file_put_contents(self::ROOT."/strange/run/{$name}.pid", (string) $pid);
            file_put_contents(self::ROOT."/strange/run/{$name}.keeper", (string) $pid);
        }
        try {
            [$exit, $said] = OnInstance::run('strange', 'stop_server', 'stop_database');
            $this->assertSame(0, $exit, implode("\n", $said));
            $this->assertTrue(proc_get_status($stranger)['running'], 'it was ended');
            $this->assertFileDoesNotExist(self::ROOT.'/strange/run/nginx.pid');
        } finally {
            proc_terminate($stranger);
            proc_close($stranger);
            shell_exec('rm -rf '.escapeshellarg(self::ROOT.'/strange'));
        }
    }
}
