<?php

declare(strict_types=1);

namespace Tests\Served;

/** Processes are killed in the middle of finishing a check: it is recorded whole or not at all, and the same request sent again counts once. */
final class FaultTest extends ServedTestCase
{
    public function test_php_dies_in_the_middle(): void
    {
        $this->diesInTheMiddle('QH-01', function (): void {
            $master = (int) file_get_contents($this->var().'/run/fpm.pid');
            $workers = array_filter(array_map(intval(...), explode("\n", trim((string) shell_exec("pgrep -P {$master}")))));
            $this->assertNotSame([], $workers, 'PHP does not run.');
            foreach ($workers as $worker) {
                posix_kill($worker, SIGKILL);
            }
        });
    }

    public function test_the_database_dies_in_the_middle(): void
    {
        $this->diesInTheMiddle('QH-02', function (): void {
            $pid = (int) file_get_contents($this->var().'/run/db.pid');
            posix_kill($pid, SIGKILL);
            // Nobody starts it again but its keeper.
            $this->waitFor(static fn (): bool => ! posix_kill($pid, 0), 'the database to be gone');
            $this->waitFor(fn (): bool => $this->databaseAnswers(), 'the database to be there again');
        });
    }

    public function test_two_people_finish_checks_of_one_kit_at_once(): void
    {
        $keeper = $this->signIn('keeper');
        $lead = $this->signIn('lead');
        $ids = [];
        for ($round = 0; $round < 4; $round++) {
            $checks = [$this->oneFewer($keeper, 'QH-16'), $this->oneFewer($lead, 'QH-16')];
            $checks[1]['rows'][0]['quantity']--;
            $multi = curl_multi_init();
            $curls = [];
            foreach ([$keeper, $lead] as $index => $client) {
                $ids[] = $id = $this->ulid();
                $curls[$index] = $client->request('PUT', "/api/checks/{$id}", $checks[$index]);
                curl_multi_add_handle($multi, $curls[$index]);
            }
            do {
                curl_multi_exec($multi, $running);
                curl_multi_select($multi, 0.2);
            } while ($running > 0);
            foreach ($curls as $curl) {
                $this->assertSame(200, curl_getinfo($curl, CURLINFO_RESPONSE_CODE), (string) curl_multi_getcontent($curl));
            }
        }
        $this->assertSame(count($ids), $this->number("SELECT COUNT(*) FROM operations WHERE id IN ('".implode("','", $ids)."')"));
        $this->assertLedgerIsWhole();
    }

    public function test_many_do_many_things_at_once_and_some_send_twice(): void
    {
        $people = [$this->signIn('keeper'), $this->signIn('lead'), $this->signIn('keeper'), $this->signIn('lead')];
        $ids = [];
        for ($round = 0; $round < 3; $round++) {
            $multi = curl_multi_init();
            $curls = [];
            foreach ($people as $index => $client) {
                // Two by two at one kit; and each of them sends what it sends twice at once, on a line of its own.
                $kit = ['QH-01', 'QH-02'][$index % 2];
                $ids[] = $id = $this->ulid();
                $check = $this->oneFewer($client, $kit);
                $check['rows'][$index]['quantity']++;
                foreach ([1, 2] as $_) {
                    $curls[] = [$id, $client->request('PUT', "/api/checks/{$id}", $check)];
                }
            }
            foreach ($curls as [$id, $curl]) {
                curl_multi_add_handle($multi, $curl);
            }
            do {
                curl_multi_exec($multi, $running);
                curl_multi_select($multi, 0.2);
            } while ($running > 0);
            $answers = [];
            foreach ($curls as [$id, $curl]) {
                $this->assertSame(200, curl_getinfo($curl, CURLINFO_RESPONSE_CODE), (string) curl_multi_getcontent($curl));
                $answers[$id][] = json_decode(
                    substr((string) curl_multi_getcontent($curl), (int) curl_getinfo($curl, CURLINFO_HEADER_SIZE)),
                    true,
                )['number'] ?? null;
            }
            foreach ($answers as [$one, $other]) {
                $this->assertNotNull($one);
                $this->assertSame($one, $other, 'Both are told the same operation.');
            }
        }
        $this->assertSame(count($ids), $this->number("SELECT COUNT(*) FROM operations WHERE id IN ('".implode("','", $ids)."')"));
        $this->assertSame(
            count($ids),
            $this->number("SELECT COUNT(*) FROM checks WHERE operation_number IN (SELECT number FROM operations WHERE id IN ('".implode("','", $ids)."'))"),
        );
        $this->assertSame(0, $this->number('SELECT COUNT(*) FROM holdings WHERE quantity < 0'));
        $this->assertLedgerIsWhole();
    }

    private function diesInTheMiddle(string $kit, callable $kill): void
    {
        $client = $this->signIn('keeper');
        $check = $this->oneFewer($client, $kit);
        $id = $this->ulid();
        $before = [
            $this->number('SELECT COUNT(*) FROM checks'), $this->number('SELECT COUNT(*) FROM movements'),
            $this->number('SELECT COUNT(*) FROM check_rows'),
        ];
        // Somebody else holds the head of the record, so the check stops just there: what is where is written, the operation not yet.
        $holder = $this->database();
        $holder->beginTransaction();
        $holder->query('SELECT * FROM ledger_head WHERE id = 1 FOR UPDATE')->fetchAll();
        $curl = $client->request('PUT', "/api/checks/{$id}", $check);
        $multi = curl_multi_init();
        curl_multi_add_handle($multi, $curl);
        $watch = $this->database();
        $this->waitFor(function () use ($multi, $watch): bool {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.02);
            // The server makes this table anew only where nobody has read it for a tenth of a second.
            usleep(150_000);

            return (int) $watch->query("SELECT COUNT(*) FROM information_schema.innodb_trx WHERE trx_state = 'LOCK WAIT'")->fetchColumn() > 0;
        }, 'the check to be in the middle');
        $kill();
        try {
            $holder->rollBack();
        } catch (\PDOException) {
            // Its server is gone, and its lock with it.
        }
        $this->waitFor(static function () use ($multi): bool {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.02);

            return $running === 0;
        }, 'the request to end');
        $this->assertNotSame(200, curl_getinfo($curl, CURLINFO_RESPONSE_CODE));
        $this->assertSame(
            $before,
            [
                $this->number('SELECT COUNT(*) FROM checks'), $this->number('SELECT COUNT(*) FROM movements'),
                $this->number('SELECT COUNT(*) FROM check_rows'),
            ],
            'Nothing of it was recorded.',
        );

        $again = null;
        $this->waitFor(function () use ($client, $id, $check, &$again): bool {
            $again = $client->put("/api/checks/{$id}", $check);

            return $again['status'] === 200;
        }, 'the server to answer again');
        $this->assertSame($again['body'], $client->put("/api/checks/{$id}", $check)['body']);
        $this->assertSame(1, $this->number("SELECT COUNT(*) FROM operations WHERE id = '{$id}'"));
        $this->assertSame($before[1] + 1, $this->number('SELECT COUNT(*) FROM movements'));
        $this->assertLedgerIsWhole();
    }
}
