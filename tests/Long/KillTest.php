<?php

declare(strict_types=1);

namespace Tests\Long;

use CurlHandle;
use PHPUnit\Framework\Attributes\Group;
use Tests\Served\Client;
use Tests\Served\ServedTestCase;

/**
 * Eight people check kits while processes of the server are killed, a hundred times, at random moments: what was acknowledged is on record
 * once and whole, the next of each is taken within ten seconds, and nobody starts anything by hand.
 */
#[Group('long')]
final class KillTest extends ServedTestCase
{
    private const KILLS = 100;

    private const CLIENTS = 8;

    private const LONGEST_SECONDS = 10;

    /** @var list<array{client: Client, kit: string, change: int, id: string, body: array<string, mixed>, curl: ?CurlHandle}> */
    private array $people = [];

    /** @var array<string, true> operations that were acknowledged */
    private array $acknowledged = [];

    /** @var array<string, true> all that were sent */
    private array $sent = [];

    public function test_a_hundred_kills_lose_and_double_nothing(): void
    {
        $seed = random_int(1, PHP_INT_MAX);
        mt_srand($seed);
        $this->signInAll();
        $before = [$this->number('SELECT COUNT(*) FROM operations'), $this->number('SELECT COUNT(*) FROM movements'), $this->number('SELECT COUNT(*) FROM checks')];
        $multi = curl_multi_init();
        $lastTaken = microtime(true);
        $killedAt = null;
        $longest = 0.0;
        $kills = [];
        $what = 'nothing yet';
        $next = microtime(true) + 0.5;
        while (array_sum($kills) < self::KILLS || $killedAt !== null || $this->isUnderWay()) {
            $now = microtime(true);
            foreach ($this->people as $at => $person) {
                if ($person['curl'] === null && (array_sum($kills) < self::KILLS || $killedAt !== null || $person['id'] !== '')) {
                    $this->send($at, $multi);
                }
            }
            if ($killedAt === null && array_sum($kills) < self::KILLS && $now >= $next) {
                $what = $this->kill();
                $kills[$what] = ($kills[$what] ?? 0) + 1;
                $killedAt = microtime(true);
            }
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.02);
            while (($done = curl_multi_info_read($multi)) !== false) {
                if ($this->finished($done['handle'], $done['result'], $multi) && $killedAt !== null) {
                    $longest = max($longest, microtime(true) - $killedAt);
                    $killedAt = null;
                    $next = microtime(true) + mt_rand(50, 700) / 1000;
                }
                $lastTaken = microtime(true);
            }
            $this->assertLessThan(self::LONGEST_SECONDS, microtime(true) - ($killedAt ?? microtime(true)), "Nothing was taken after {$what}, seed {$seed}, after ".json_encode($kills));
            $this->assertLessThan(60, microtime(true) - $lastTaken);
        }
        ksort($kills);
        fwrite(STDOUT, sprintf("\n%d kills (%s), %d operations acknowledged, the longest wait for the next %.1f s\n", array_sum($kills), implode(', ', array_map(
            static fn (string $what, int $number): string => "{$what} {$number}", array_keys($kills), $kills,
        )), count($this->acknowledged), $longest));
        $this->assertSame(self::KILLS, array_sum($kills));
        ksort($this->sent);
        ksort($this->acknowledged);
        $this->assertSame(array_keys($this->sent), array_keys($this->acknowledged), 'All that was sent was taken in the end.');
        $ids = "'".implode("','", array_keys($this->acknowledged))."'";
        $number = count($this->acknowledged);
        $this->assertGreaterThan(self::CLIENTS, $number);
        $this->assertSame([$number, $number], [$this->number("SELECT COUNT(*) FROM operations WHERE id IN ({$ids})"), $this->number("SELECT COUNT(DISTINCT id) FROM operations WHERE id IN ({$ids})")]);
        $this->assertSame(
            [$before[0] + $number, $before[1] + $number, $before[2] + $number],
            [$this->number('SELECT COUNT(*) FROM operations'), $this->number('SELECT COUNT(*) FROM movements'), $this->number('SELECT COUNT(*) FROM checks')],
            'Each is one check of one row that differs, and nothing else was recorded.',
        );
        $this->assertLedgerIsWhole();
        $this->waitFor(fn (): bool => $this->number('SELECT COUNT(*) FROM kit_states WHERE is_marked') === 0, 'what was left to be judged');
        $this->assertSame(0, $this->artisan('kits:verify', $said), $said);
    }

    private function signInAll(): void
    {
        $kits = array_column($this->signIn('keeper')->get('/api/kits')['body']['kits'], 'code');
        foreach ($kits as $kit) {
            $client = $this->signIn(count($this->people) % 2 === 0 ? 'keeper' : 'lead');
            if ($client->get("/api/kits/{$kit}")['body']['contents'] === [] || count($this->people) === self::CLIENTS) {
                continue;
            }
            $check = $this->oneFewer($client, $kit);
            $isSimple = $client->put('/api/checks/'.$this->ulid(), $check)['status'] === 200;
            if ($isSimple) {
                // One piece fewer, one more, and so on.
                $check['rows'][0]['quantity']++;
                $this->people[] = ['client' => $client, 'kit' => $kit, 'change' => 1, 'id' => '', 'body' => $check, 'curl' => null];
            }
        }
        $this->assertCount(self::CLIENTS, $this->people);
    }

    private function isUnderWay(): bool
    {
        return array_filter($this->people, static fn (array $person): bool => $person['curl'] !== null || $person['id'] !== '') !== [];
    }

    /** Sends the check that waits, with the id that it has, or the next. */
    private function send(int $at, \CurlMultiHandle $multi): void
    {
        $person = &$this->people[$at];
        if ($person['id'] === '') {
            $person['id'] = $this->ulid();
            $person['body']['begun_at'] = gmdate('Y-m-d\TH:i:s\Z');
            $this->sent[$person['id']] = true;
        }
        $person['curl'] = $person['client']->request('PUT', "/api/checks/{$person['id']}", $person['body']);
        curl_setopt($person['curl'], CURLOPT_TIMEOUT, 15);
        curl_multi_add_handle($multi, $person['curl']);
    }

    /** Whether it was taken; what was not is sent again with the same id. */
    private function finished(CurlHandle $curl, int $result, \CurlMultiHandle $multi): bool
    {
        foreach ($this->people as $at => $person) {
            if ($person['curl'] === $curl) {
                $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
                $content = (string) curl_multi_getcontent($curl);
                curl_multi_remove_handle($multi, $curl);
                $this->people[$at]['curl'] = null;
                $answer = json_decode(substr($content, (int) curl_getinfo($curl, CURLINFO_HEADER_SIZE)), true);
                // An answer of which only a part came is none: the page takes it for no answer, too.
                if ($status !== 200 || $result !== CURLE_OK || ! is_int($answer['number'] ?? null)) {
                    $this->assertContains($status, [0, 200, 500, 502, 503, 504], $content);

                    return false;
                }
                $this->acknowledged[$person['id']] = true;
                $this->people[$at]['id'] = '';
                $this->people[$at]['change'] = -$person['change'];
                $this->people[$at]['body']['rows'][0]['quantity'] -= $person['change'];
                $this->people[$at]['body']['base'] = ['epoch' => 1, 'number' => $answer['number']];

                return true;
            }
        }
        $this->fail('Nobody sent this.');
    }

    /** @return string what was killed */
    private function kill(): string
    {
        $pid = fn (string $name): int => (int) @file_get_contents($this->var()."/run/{$name}.pid");
        $workers = static fn (int $master): array => $master > 0 ? array_map(intval(...), array_filter(explode("\n", (string) shell_exec("pgrep -P {$master}")))) : [];
        [$what, $processes] = match (mt_rand(0, 6)) {
            0 => ['one PHP worker', array_slice($workers($pid('fpm')), 0, 1)],
            1 => ['all PHP workers', $workers($pid('fpm'))],
            2 => ['PHP master', [$pid('fpm')]],
            3 => ['database', [$pid('db')]],
            4 => ['PHP master and database', [$pid('fpm'), $pid('db')]],
            5 => ['nginx', [$pid('nginx')]],
            default => ['worker and clock', [$pid('worker'), $pid('clock')]],
        };
        foreach ($processes as $process) {
            if ($process > 1) {
                posix_kill($process, SIGKILL);
            }
        }

        return $what;
    }
}
