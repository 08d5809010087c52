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

    public function test_a_process_that_is_not_of_the_instance_is_never_ended(): void
    {
        $stranger = proc_open(['sleep', '600'], [], $pipes);
        $this->assertIsResource($stranger);
        $pid = proc_get_status($stranger)['pid'];
        @mkdir(self::ROOT.'/strange/run', 0o700, true);
        foreach (['nginx', 'fpm', 'worker', 'clock', 'db'] as $name) {
            file_put_contents(self::ROOT."/strange/run/{$name}.pid", (string) $pid);
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
