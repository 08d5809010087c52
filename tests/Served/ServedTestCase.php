<?php

declare(strict_types=1);

namespace Tests\Served;

use Database\Seeders\DemoSeeder;
use PHPUnit\Framework\TestCase;
use Tests\Support\OnInstance;

/** Against the served application: nginx, PHP's process manager and MariaDB as they run, with faults made on purpose. */
abstract class ServedTestCase extends TestCase
{
    /** The instance that is tested: the one that stands ready, or one that a test makes for itself. */
    protected function instanceName(): string
    {
        return 'test';
    }

    protected function url(): string
    {
        return $this->instanceName() === 'test' ? (string) getenv('SARCINA_TEST_URL') : 'http://127.0.0.1:'.trim((string) file_get_contents($this->var().'/port'));
    }

    protected function var(): string
    {
        return dirname(__DIR__, 2).'/var/'.$this->instanceName();
    }

    private function sockets(): string
    {
        $elsewhere = @file_get_contents($this->var().'/run/sockets');

        return is_string($elsewhere) ? trim($elsewhere) : $this->var().'/run';
    }

    protected function signIn(string $who): Client
    {
        $client = new Client($this->url());
        $client->post('/api/session', ['email' => "{$who}@quillhaven.example", 'password' => DemoSeeder::PASSWORD]);

        return $client;
    }

    /** A connection of the test's own, as the database's root, by its socket. */
    protected function database(): \PDO
    {
        return new \PDO(
            "mysql:unix_socket={$this->sockets()}/db.sock;dbname=sarcina",
            (string) posix_getpwuid(posix_getuid())['name'],
            '',
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
    }

    protected function databaseAnswers(): bool
    {
        try {
            return (int) $this->database()->query('SELECT 1')->fetchColumn() === 1;
        } catch (\PDOException) {
            return false;
        }
    }

    protected function ulid(): string
    {
        return strtolower((string) new \Symfony\Component\Uid\Ulid);
    }

    protected function number(string $query): int
    {
        return (int) $this->database()->query($query)->fetchColumn();
    }

    /**
     * Runs functions of bin/lib on the instance under test.
     *
     * @return string what they said
     */
    protected function instance(string ...$functions): string
    {
        [$exit, $said] = OnInstance::run($this->instanceName(), ...$functions);
        $this->assertSame(0, $exit, implode("\n", $said));

        return implode("\n", $said);
    }

    protected function assertLedgerIsWhole(): void
    {
        $this->assertSame(0, $this->artisan('ledger:verify', $said), $said);
        $this->assertStringContainsString('The record is whole', $said);
    }

    /** Runs a command of the served instance. */
    protected function artisan(string $command, ?string &$said = null): int
    {
        $run = proc_open(
            ['php', dirname(__DIR__, 2).'/artisan', ...explode(' ', $command)],
            [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, dirname(__DIR__, 2), $this->environment(),
        );
        $this->assertIsResource($run);
        $said = (string) stream_get_contents($pipes[1]);

        return proc_close($run);
    }

    /** @return array<string, string> the served instance's: the suite's own settings name another database, and would hide it */
    protected function environment(): array
    {
        $own = ['APP_ENV', 'CACHE_STORE', 'QUEUE_CONNECTION', 'SESSION_DRIVER', 'DB_DATABASE', 'DB_USERNAME', 'LEDGER_CHECKPOINTS'];

        return [
            ...array_diff_key(getenv(), array_flip([...$own, ...($this->instanceName() === 'test' ? [] : ['DB_PORT'])])),
            'SARCINA_VAR' => $this->var(),
            // Of this instance: ledger:verify looks at the triggers too.
            'DB_OWNER_PASSWORD' => trim((string) @file_get_contents("{$this->var()}/owner")),
            ...array_map(fn (string $name): string => "{$this->var()}/{$name}.php", [
                'APP_CONFIG_CACHE' => 'config', 'APP_ROUTES_CACHE' => 'routes', 'APP_EVENTS_CACHE' => 'events',
            ]),
        ];
    }

    /** @param  callable(): bool  $until */
    protected function waitFor(callable $until, string $what): void
    {
        $end = microtime(true) + 20;
        while (! $until()) {
            if (microtime(true) > $end) {
                $this->fail("Waited in vain for {$what}.");
            }
            usleep(20_000);
        }
    }

    /**
     * A check of a kit with one piece fewer of what it holds most of, in the first row: it writes to the ledger.
     *
     * @return array<string, mixed>
     */
    protected function oneFewer(Client $client, string $code): array
    {
        $kit = $client->get("/api/kits/{$code}")['body'];
        $rows = array_map(
            static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'item', 'lot', 'expires', 'quantity', 'condition', 'opened_on'])),
            $kit['contents'],
        );
        usort($rows, static fn (array $one, array $other): int => $other['quantity'] <=> $one['quantity']);
        $rows[0]['quantity']--;

        return [
            'answered' => array_column($kit['verdict']['lines'], 'code'),
            'kit' => $code, 'kind' => 'full', 'begun_at' => gmdate('Y-m-d\TH:i:s\Z'), 'base' => $kit['base'],
            'signed' => 'Tobias Renn', 'signed_because' => 'Counted by two people', 'rows' => $rows,
        ];
    }

    /**
     * An item a gram heavier, as it is sent.
     *
     * @param  array<string, mixed>  $item
     * @return array<string, mixed>
     */
    protected function heavier(array $item): array
    {
        return [
            'base' => $item['revision'], 'mass' => ($item['mass_g'] + 1).' g', 'superseded_by' => $item['superseded_by_code'] ?? null,
            ...array_intersect_key($item, array_flip([
                'code', 'name', 'class', 'count_unit', 'dated', 'sterile', 'scope', 'reserve', 'purpose', 'caution', 'allergy',
                'storage_min_c', 'storage_max_c', 'opened_life', 'opened_life_unit',
            ])),
            'measures' => array_map(static fn (array $one): array => ['measure' => $one['measure'], 'quantity' => $one['quantity']], $item['measures']),
            'packs' => array_map(static fn (array $one): array => ['pieces' => $one['pieces'], 'price' => $one['price']], $item['packs']),
            'needs' => array_map(static fn (array $one): array => [
                'any_of' => $one['codes'], 'per' => $one['per'], 'quantity' => $one['quantity'], 'reason' => $one['reason'],
            ], $item['needs']),
            'stand_ins' => array_column($item['stand_ins'], 'code'),
        ];
    }

    /**
     * Sends all of them at the same moment.
     *
     * @param  list<\CurlHandle>  $curls
     * @return list<int> what each was answered
     */
    protected function atOnce(array $curls): array
    {
        $multi = curl_multi_init();
        foreach ($curls as $curl) {
            curl_multi_add_handle($multi, $curl);
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.2);
        } while ($running > 0);

        return array_map(static fn (\CurlHandle $curl): int => (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $curls);
    }
}
