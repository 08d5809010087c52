<?php

declare(strict_types=1);

namespace Tests\Long;

use PHPUnit\Framework\Attributes\Group;
use Tests\Served\ServedTestCase;
use Tests\Support\OnInstance;

/** The disk fills while people work, and has room again: it says so meanwhile, goes on by itself, and nothing recorded is lost. */
#[Group('long')]
final class DiskTest extends ServedTestCase
{
    /** @var resource */
    private $shell;

    /** @var array<int, resource> */
    private array $pipes = [];

    private string $url = '';

    protected function instanceName(): string
    {
        return 'own-disk';
    }

    protected function url(): string
    {
        return $this->url;
    }

    protected function setUp(): void
    {
        // A disk of its own, in a room of its own: this needs what some machines do not give to who is not root.
        exec('unshare -U --map-current-user --keep-caps -m mount -t tmpfs tmpfs /mnt 2>&1', $said, $exit);
        if ($exit !== 0) {
            $this->markTestSkipped('This machine lets nobody but root mount a disk of memory: '.implode(' ', $said));
        }
        @mkdir($this->var(), 0o700);
        $shell = proc_open(
            ['unshare', '-U', '--map-current-user', '--keep-caps', '-m', 'bash', '-c', 'mount -t tmpfs -o size=450m,mode=700 tmpfs "$1" && while read -r line; do eval "$line" >/dev/null 2>"$1/said"; echo "$?"; done', 'room', $this->var()],
            [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $this->pipes, dirname(__DIR__, 2), OnInstance::environment(),
        );
        assert(is_resource($shell));
        $this->shell = $shell;
        $this->assertSame('0', $this->inRoom('bin/lib/on.sh own-disk begin_empty load_demo start_server'));
        $port = (string) tempnam(sys_get_temp_dir(), 'port');
        $this->assertSame('0', $this->inRoom('cp "$1/port" '.$port));
        $this->url = 'http://127.0.0.1:'.trim((string) file_get_contents($port));
        unlink($port);
    }

    protected function tearDown(): void
    {
        if ($this->pipes !== []) {
            $this->inRoom('rm -f "$1/fill"');
            $this->inRoom('bin/lib/on.sh own-disk stop_server stop_database');
            fclose($this->pipes[0]);
            proc_close($this->shell);
            @rmdir($this->var());
        }
    }

    public function test_it_says_that_the_disk_is_full_and_goes_on_once_there_is_room(): void
    {
        $keeper = $this->signIn('keeper');
        $check = $this->oneFewer($keeper, 'QH-01');
        $this->inRoom('dd if=/dev/zero of="$1/fill" bs=64k');
        // Who is not in yet comes in all the same: that writes less than the record does.
        $lead = $this->signIn('lead');
        $this->assertSame(200, $lead->get('/api/today')['status']);
        $taken = [];
        for ($round = 0; $round < 400; $round++) {
            $id = $this->ulid();
            $answer = $keeper->put("/api/checks/{$id}", $check);
            if ($answer['status'] !== 200) {
                break;
            }
            $taken[] = $id;
            $check['rows'][0]['quantity'] += $round % 2 === 0 ? 1 : -1;
            $check['base'] = ['epoch' => 1, 'number' => $answer['body']['number']];
        }
        $this->assertSame(503, $answer['status'] ?? 0, (string) json_encode($answer['body'] ?? null));
        $this->assertSame('The disk of the server is full', $answer['body']['title']);
        $this->assertStringContainsString('makes room on it; then it goes on by itself', $answer['body']['detail']);
        $this->inRoom('rm "$1/fill"');
        $this->waitFor(static fn (): bool => $keeper->put("/api/checks/{$id}", $check)['status'] === 200, 'the same check to be taken once there is room');
        $taken[] = $id;
        $this->assertSame(200, $keeper->get('/up')['status']);
        $this->assertSame('0', $this->inRoom('test "$(mariadb --no-defaults --user="$(id -un)" --socket="$(cat "$1/run/sockets" 2>/dev/null || echo "$1/run")/db.sock" -N -e "SELECT COUNT(*) FROM sarcina.operations WHERE id IN (\''.implode("','", $taken).'\')")" = '.count($taken)));
        $this->assertSame('0', $this->inRoom('SARCINA_VAR="$1" APP_CONFIG_CACHE="$1/config.php" php artisan ledger:verify'));
    }

    /** @return string how the command ended */
    private function inRoom(string $command): string
    {
        fwrite($this->pipes[0], $command.PHP_EOL);

        return trim((string) fgets($this->pipes[1]));
    }
}
