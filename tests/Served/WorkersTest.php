<?php

declare(strict_types=1);

namespace Tests\Served;

/** What is done beside the requests, as it runs: by workers that are started again when they end. */
final class WorkersTest extends ServedTestCase
{
    public function test_a_change_is_answered_at_once_and_judged_beside_it(): void
    {
        $lead = $this->signIn('lead');
        $item = $lead->get('/api/items/foil-blanket')['body'];
        $before = $this->number('SELECT version FROM judging_version');
        $this->assertSame(200, $lead->put('/api/items/foil-blanket', $this->heavier($item))['status']);
        $this->assertGreaterThan($before, $this->number('SELECT version FROM judging_version'));
        $this->waitFor(fn (): bool => $this->number('SELECT COUNT(*) FROM kit_states WHERE is_marked') === 0, 'the worker to judge what was marked');
        $this->assertSame(0, $lead->get('/api/today')['body']['being_judged']);
        $this->assertSame(0, $this->artisan('kits:verify', $said), $said);
    }

    public function test_a_worker_that_died_is_started_again(): void
    {
        $child = fn (): int => (int) file_get_contents($this->var().'/run/worker.pid');
        $died = $child();
        $this->assertGreaterThan(0, $died);
        $this->assertTrue(posix_kill($died, SIGKILL));
        $this->waitFor(static fn (): bool => $child() !== $died && posix_kill($child(), 0), 'another worker to be there');
        $this->database()->exec("UPDATE worker_beats SET beat_at = '2026-01-01 00:00:00'");
        $this->waitFor(fn (): bool => $this->number('SELECT beat_at > UTC_TIMESTAMP() - INTERVAL 1 MINUTE FROM worker_beats') === 1, 'it to say that it is alive');
    }

    public function test_the_end_of_the_record_is_on_file_outside_the_database_within_a_second(): void
    {
        $keeper = $this->signIn('keeper');
        $check = $this->oneFewer($keeper, 'QH-04');
        $this->assertSame(200, $keeper->put('/api/checks/'.$this->ulid(), $check)['status']);
        $from = microtime(true);
        $number = $this->number('SELECT number FROM ledger_head');
        $file = $this->var().'/checkpoints/head.json';
        $this->waitFor(static fn (): bool => (json_decode((string) @file_get_contents($file), true)['number'] ?? 0) >= $number, 'The end of the record is not on file.');
        $this->assertLessThan(3.0, microtime(true) - $from, 'A second on a quiet machine.');
        $this->assertLedgerIsWhole();
    }

    public function test_it_is_said_on_today_where_nobody_has_worked_for_a_minute(): void
    {
        $lead = $this->signIn('lead');
        $silentSince = static fn (): mixed => $lead->get('/api/today')['body']['worker_silent_since'];
        $this->assertFalse(is_string($silentSince()), 'It was heard of within the last minute.');
        $this->instance('stop_workers');
        $this->assertFileDoesNotExist($this->var().'/run/worker.keeper');
        try {
            $this->database()->exec('UPDATE worker_beats SET beat_at = UTC_TIMESTAMP() - INTERVAL 61 SECOND');
            $this->assertTrue(is_string($silentSince()));
            $item = $lead->get('/api/items/foil-blanket')['body'];
            $this->assertSame(200, $lead->put('/api/items/foil-blanket', $this->heavier($item))['status'], 'Who works on is not held up.');
            $this->assertGreaterThan(0, $lead->get('/api/today')['body']['being_judged'], 'What waits is shown as waiting.');
        } finally {
            $this->instance('start_workers');
        }
        $this->waitFor(fn (): bool => $this->number('SELECT COUNT(*) FROM kit_states WHERE is_marked') === 0, 'what waited to be judged');
        $this->waitFor(static fn (): bool => ! is_string($silentSince()), 'the worker to say that it is alive');
    }

    public function test_an_import_is_read_and_taken_by_the_worker(): void
    {
        $lead = $this->signIn('lead');
        $id = $this->ulid();
        $code = 'served-'.substr($id, -8);
        $this->assertSame(201, $lead->post('/api/imports', [
            'id' => $id, 'kind' => 'catalogue', 'format' => 'csv', 'file_name' => 'one.csv',
            'source' => "code,name,class,dated,sterile,mass_g,scope,reserve,purpose\n{$code},New tape,tape,no,no,30,anyone,yes,Holds",
        ])['status']);
        $state = fn (): string => (string) $lead->get("/api/imports/{$id}")['body']['state'];
        $this->waitFor(static fn (): bool => $state() === 'ready', 'the file to be read');
        $this->assertSame(200, $lead->put("/api/imports/{$id}/taking", [])['status']);
        $this->waitFor(static fn (): bool => $state() === 'done', 'the file to be taken in');
        $this->assertSame('New tape', $lead->get("/api/items/{$code}")['body']['name']);
    }

    public function test_what_an_edition_does_to_many_kits_is_worked_out_beside_the_requests(): void
    {
        $lead = $this->signIn('lead');
        $lists = array_filter($lead->get('/api/lists')['body']['lists'], static fn (array $list): bool => $list['code'] === 'bleeding-set' && $list['edition'] === '2');
        $id = array_values($lists)[0]['id'];
        $begun = $lead->post("/api/lists/{$id}/previews", []);
        $this->assertSame(202, $begun['status']);
        $read = fn (): array => $lead->get("/api/previews/{$begun['body']['id']}")['body'];
        $this->waitFor(static fn (): bool => $read()['state'] === 'done', 'the preview');
        $done = $read();
        $kits = array_column($done['effects'], null, 'kit');
        $this->assertSame([count($kits), count($kits)], [$done['kits'], $done['done']]);
        $this->assertSame($done['kits'], array_sum(array_column($done['counts'], 'kits')));
        $this->assertSame(['ready', 'not_ready'], [$kits['QH-08']['now'], $kits['QH-08']['then']]);
        $this->assertContains('Tourniquet: 1 of 2, to add 1 × Windlass tourniquet', $kits['QH-08']['added']);
        $this->assertFalse($done['is_behind']);
        $item = $lead->get('/api/items/foil-blanket')['body'];
        $lead->put('/api/items/foil-blanket', $this->heavier($item));
        $this->assertTrue($read()['is_behind'], 'It says that it is of an earlier moment.');
    }

    public function test_the_database_counts_its_tables(): void
    {
        $this->assertSame(0, $this->artisan('database:analyze', $said), $said);
        $plan = $this->database()->query('EXPLAIN SELECT lots.number FROM holdings JOIN lots ON lots.id = holdings.lot_id WHERE holdings.kit_id
            IN (SELECT * FROM (SELECT id FROM kits ORDER BY code LIMIT 5) AS some)')->fetchAll(\PDO::FETCH_ASSOC);
        $this->assertNotContains('lots ALL', array_map(static fn (array $step): string => "{$step['table']} {$step['type']}", $plan), 'It does not read every lot.');
    }

    public function test_a_session_that_only_goes_on_is_written_once_a_minute(): void
    {
        $keeper = $this->signIn('keeper');
        $keeper->get('/api/today');
        $written = fn (): array => $this->database()->query('SELECT id, last_activity, MD5(payload) FROM sessions ORDER BY last_activity DESC, id LIMIT 1')->fetchAll(\PDO::FETCH_NUM);
        $this->database()->exec('UPDATE sessions SET last_activity = last_activity - 20');
        $before = $written();
        $this->assertNotSame([], $before);
        foreach (['/api/today', '/api/kits', '/api/kits/QH-01'] as $path) {
            $this->assertSame(200, $keeper->get($path)['status']);
        }
        $this->assertSame($before, $written());
        $this->database()->exec('UPDATE sessions SET last_activity = last_activity - 60');
        $keeper->get('/api/today');
        $this->assertGreaterThan($before[0][1], $written()[0][1]);
        $this->assertSame([], glob($this->var().'/storage/framework/sessions/*') ?: [], 'Nothing of it lies on the disk.');
    }
}
