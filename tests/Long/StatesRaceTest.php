<?php

declare(strict_types=1);

namespace Tests\Long;

use PHPUnit\Framework\Attributes\Group;
use Tests\Served\Client;
use Tests\Served\ServedTestCase;
use Tests\Support\OnInstance;

/** A check, a change of the catalogue and the judging of what is marked meet at one kit, again and again: what is shown is true. */
#[Group('long')]
final class StatesRaceTest extends ServedTestCase
{
    private const ROUNDS = 200;

    private const KIT = 'QH-01';

    protected function setUp(): void
    {
        // Whatever thousands of operations before this did to the kit: it must be one that a whole check makes ready.
        [$exit, $said] = OnInstance::run('test', 'load_demo');
        $this->assertSame(0, $exit, implode("\n", $said));
        parent::setUp();
    }

    public function test_a_check_a_change_and_the_judging_meet_two_hundred_times(): void
    {
        $keeper = $this->signIn('keeper');
        $lead = $this->signIn('lead');
        $kit = $keeper->get('/api/kits/'.self::KIT)['body'];
        $line = array_values(array_filter($kit['verdict']['lines'], static fn (array $line): bool => $line['rank'] === 'critical'))[0];
        $items = array_values(array_unique(array_column($kit['contents'], 'item')));
        $shown = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $check = $this->check($keeper, $line['code'], $round % 2 === 0);
            $item = $lead->get('/api/items/'.$items[$round % count($items)])['body'];
            // All at once; the server's own worker judges what the change marks, and this hurries it on.
            $judging = proc_open(
                ['php', dirname(__DIR__, 2).'/artisan', 'kits:judge', '--marked'],
                [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, dirname(__DIR__, 2), $this->environment(),
            );
            $this->assertIsResource($judging);
            $statuses = $this->atOnce([
                $keeper->request('PUT', '/api/checks/'.$this->ulid(), $check),
                $lead->request('PUT', "/api/items/{$item['code']}", $this->heavier($item)),
            ]);
            $this->assertSame([200, 200], $statuses, "Round {$round}.");
            proc_close($judging);
            // At every moment what is shown is either true or said to be judged again.
            $this->waitFor(function () use ($keeper, &$shown, $round): bool {
                $is = $this->shown($keeper);
                $true = $keeper->get('/api/kits/'.self::KIT)['body']['verdict']['verdict'];
                if ($is !== null) {
                    $this->assertSame($true, $is, "Round {$round}.");
                    $shown[$is] = true;
                }

                return $is !== null;
            }, "kit to be judged again in round {$round}");
        }
        $this->assertGreaterThan(1, count($shown), 'The checks differed.');
        $this->assertSame(0, $this->artisan('kits:verify'));
        $this->assertLedgerIsWhole();
    }

    /** @return array<string, mixed> a check that finds everything, or nothing for the critical line */
    private function check(Client $client, string $line, bool $isWhole): array
    {
        $kit = $client->get('/api/kits/'.self::KIT)['body'];
        $rows = array_map(static fn (array $row): array => [
            'pocket_id' => $row['pocket_id'], 'item' => $row['item'], 'lot' => $row['lot'], 'expires' => $row['expires'],
            'quantity' => $row['line'] === $line ? ($isWhole ? 5 : 0) : $row['quantity'], 'condition' => $row['condition'],
        ], $kit['contents']);
        static $critical = [];
        foreach ($kit['contents'] as $index => $row) {
            if ($row['line'] === $line) {
                $critical = [$rows[$index]];
            }
        }
        if ($isWhole && array_filter($kit['contents'], static fn (array $row): bool => $row['line'] === $line) === [] && $critical !== []) {
            $rows[] = [...$critical[0], 'quantity' => 5];
        }

        return [
            'answered' => array_column($kit['verdict']['lines'], 'code'),
            'kit' => self::KIT, 'kind' => 'full', 'begun_at' => gmdate('Y-m-d\TH:i:s\Z'), 'base' => $kit['base'], 'signed' => 'Tobias Renn', 'signed_because' => 'Counted by two people',
            'seal_reason' => 'planned full check', 'rows' => array_values($rows),
        ];
    }

    private function shown(Client $client): ?string
    {
        foreach ($client->get('/api/kits')['body']['kits'] as $kit) {
            if ($kit['code'] === self::KIT) {
                return $kit['verdict'];
            }
        }
        $this->fail(self::KIT.' is not shown.');
    }
}
