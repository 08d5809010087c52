<?php

declare(strict_types=1);

namespace Tests\Long;

use PDO;
use PHPUnit\Framework\Attributes\Group;
use Tests\Served\Client;
use Tests\Served\ServedTestCase;

/**
 * Ten thousand operations of all kinds on kits and stores, eight at once, chosen by chance and sent by whoever does not know of the others:
 * what is refused is refused in words, nothing is there less than not at all, and nothing that was recorded is lost.
 */
#[Group('long')]
final class RandomOperationsTest extends ServedTestCase
{
    private const OPERATIONS = 10_000;

    private const AT_ONCE = 8;

    private const SEED = 20261129;

    private PDO $database;

    private Client $keeper;

    public function test_the_record_adds_up_after_ten_thousand_random_operations(): void
    {
        mt_srand(self::SEED);
        $this->database = $this->database();
        $this->keeper = $this->signIn('keeper');
        $first = (int) $this->one('SELECT MAX(number) FROM operations');
        $statuses = $kinds = [];
        for ($sent = 0; $sent < self::OPERATIONS; $sent += count($batch)) {
            $batch = $this->batch(min(self::AT_ONCE, self::OPERATIONS - $sent));
            foreach ($this->atOnce(array_map(fn (array $one) => $this->keeper->request('PUT', $one[1], $one[2]), $batch)) as $at => $status) {
                $statuses[$status] = ($statuses[$status] ?? 0) + 1;
                $kinds[$batch[$at][0]][$status] = ($kinds[$batch[$at][0]][$status] ?? 0) + 1;
            }
        }
        $said = json_encode($kinds);
        $this->assertSame([], array_diff(array_keys($statuses), [200, 202, 409, 422]), "Only what is recorded, kept or refused in words: {$said}");
        $this->assertGreaterThan(self::OPERATIONS / 2, $statuses[200] ?? 0, $said);
        foreach ($kinds as $kind => $answers) {
            $this->assertGreaterThan(0, $answers[200] ?? 0, "{$kind} is recorded sometimes: {$said}");
        }
        $this->assertSame(0, (int) $this->one('SELECT COUNT(*) FROM holdings WHERE quantity < 0'));
        $this->assertSame(
            (int) $this->one('SELECT MAX(number) FROM operations'), (int) $this->one('SELECT COUNT(*) FROM operations'), 'numbers without a gap',
        );
        $this->assertGreaterThanOrEqual($statuses[200] - 1, (int) $this->one('SELECT MAX(number) FROM operations') - $first, $said);
        $there = 'SELECT COALESCE(SUM(quantity), 0) FROM holdings';
        $in = 'SELECT COALESCE(SUM(quantity), 0) FROM movements WHERE from_kit_id IS NULL AND from_store_id IS NULL';
        $out = 'SELECT COALESCE(SUM(quantity), 0) FROM movements WHERE to_kit_id IS NULL AND to_store_id IS NULL';
        $this->assertSame((int) $this->one($in) - (int) $this->one($out), (int) $this->one($there), 'what came in is there, or has left');
        $lent = 'SELECT COALESCE(SUM(IF(to_store_id IS NULL, m.quantity, -CAST(m.quantity AS SIGNED))), 0) FROM movements m WHERE reason = "lent"';
        $owed = 'SELECT COALESCE(SUM(r.quantity - r.back), 0) FROM loan_rows r JOIN loans l ON l.id = r.loan_id WHERE way = "lent"';
        $this->assertSame((int) $this->one($lent), (int) $this->one($owed), 'what is lent is what has not come back');
        $this->assertLedgerIsWhole();
        fwrite(STDERR, "\nrandom operations, by kind and answer: {$said}\n");
    }

    /** @return list<array{string, string, array<string, mixed>}> kind, path and body of so many, made from what is there now */
    private function batch(int $count): array
    {
        $stores = $this->rows('SELECT id FROM stores WHERE retired_on IS NULL');
        $kits = $this->rows('SELECT id, code, seal FROM kits WHERE retired_on IS NULL AND parent_kit_id IS NULL AND build_id IS NULL');
        $base = $this->rows('SELECT epoch, number FROM ledger_head')[0];
        $base = ['epoch' => (int) $base['epoch'], 'number' => (int) $base['number']];
        $batch = [];
        while (count($batch) < $count) {
            $one = $this->random($stores, $kits, $base);
            if ($one !== null) {
                $batch[] = $one;
            }
        }

        return $batch;
    }

    /**
     * @param  list<array<string, mixed>>  $stores
     * @param  list<array<string, mixed>>  $kits
     * @param  array<string, int>  $base
     * @return array{string, string, array<string, mixed>}|null null where there is nothing to do it with
     */
    private function random(array $stores, array $kits, array $base): ?array
    {
        $store = $stores[array_rand($stores)]['id'];
        $kit = $kits[array_rand($kits)];
        $now = ['begun_at' => gmdate('Y-m-d\TH:i:s\Z'), 'base' => $base];
        $kind = ['use', 'use', 'hand_back', 'restock', 'restock', 'restock', 'receive', 'receive', 'count', 'dispose', 'move', 'set_apart', 'release', 'lend', 'borrow', 'repack',
            'return', 'moved', 'seal'][mt_rand(0, 18)];

        return match ($kind) {
            'use', 'hand_back', 'moved' => $this->taken($kind, $kit, $kits, $now),
            'restock' => $this->restocked($kit, $store, $now),
            'seal' => ['seal', "/api/kits/{$kit['code']}/seals/".$this->ulid(), [
                ...$now, ...($kit['seal'] === 'intact' ? ['event' => 'broken', 'reason' => 'By chance'] : ['event' => 'set', 'seal_number' => 'R'.mt_rand(1, 999999)]),
            ]],
            'return' => $this->back(),
            default => $this->atStore($kind, $store, $stores, $now),
        };
    }

    /**
     * @param  array<string, mixed>  $kit
     * @param  list<array<string, mixed>>  $kits
     * @param  array<string, mixed>  $now
     * @return array{string, string, array<string, mixed>}|null
     */
    private function taken(string $kind, array $kit, array $kits, array $now): ?array
    {
        $row = $this->lying("kit_id = '{$kit['id']}'");
        if ($row === null) {
            return null;
        }
        $why = $kind === 'moved' ? 'moved' : ['used', 'training', 'given', 'lost'][mt_rand(0, 3)];
        $parts = explode(' ', $row['condition'], 2);
        $piece = [
            'pocket_id' => $row['pocket_id'], 'lot_id' => $row['lot_id'], 'condition' => $parts[0], 'opened_on' => $parts[1] ?? null,
            'quantity' => mt_rand(1, max(1, min(3, (int) $row['quantity']))), 'why' => $why,
            'opened' => $parts[0] === 'good' && $why === 'used' && mt_rand(0, 3) === 0,
            'to_kit' => $why === 'moved' ? $kits[array_rand($kits)]['code'] : null,
        ];

        return [$kind, "/api/kits/{$kit['code']}/uses/".$this->ulid(), [
            ...$now, 'taken' => $kind === 'hand_back' && mt_rand(0, 1) === 0 ? [] : [$piece], 'seal_reason' => 'By chance',
            'handed_back_by' => $kind === 'hand_back' ? 'Tobias Renn' : null,
        ]];
    }

    /**
     * @param  array<string, mixed>  $kit
     * @param  array<string, mixed>  $now
     * @return array{string, string, array<string, mixed>}|null
     */
    private function restocked(array $kit, string $store, array $now): ?array
    {
        $in = $this->lying("store_id = '{$store}' AND `condition` = 'good'");
        $pocket = $this->one("SELECT pocket_id FROM holdings WHERE kit_id = '{$kit['id']}' ORDER BY RAND() LIMIT 1")
            ?? $this->one("SELECT c.pocket_id FROM compartments c JOIN kits k ON k.design_edition_id = c.design_edition_id WHERE k.id = '{$kit['id']}' AND c.parent_id IS NOT NULL LIMIT 1");
        $out = mt_rand(0, 2) === 0 ? $this->lying("kit_id = '{$kit['id']}' AND `condition` NOT LIKE 'opened %'") : null;

        return $in === null || $pocket === null ? null : ['restock', "/api/kits/{$kit['code']}/restocks/".$this->ulid(), [
            ...$now, 'store' => $store, 'seal_reason' => 'By chance',
            'in' => [['pocket_id' => $pocket, 'lot_id' => $in['lot_id'], 'quantity' => mt_rand(1, max(1, min(4, (int) $in['quantity'])))]],
            'out' => $out === null ? [] : [[
                'pocket_id' => $out['pocket_id'], 'lot_id' => $out['lot_id'], 'condition' => $out['condition'], 'quantity' => 1,
                'to' => ['store', 'discard'][mt_rand(0, 1)],
            ]],
        ]];
    }

    /**
     * @param  list<array<string, mixed>>  $stores
     * @param  array<string, mixed>  $now
     * @return array{string, string, array<string, mixed>}|null
     */
    private function atStore(string $kind, string $store, array $stores, array $now): ?array
    {
        $apart = $kind === 'release' ? " AND `condition` IN ('quarantined', 'training')" : " AND `condition` = 'good'";
        $row = $this->lying("store_id = '{$store}'{$apart} AND (good_until IS NULL OR good_until > DATE_ADD(CURDATE(), INTERVAL 30 DAY))");
        if ($row === null) {
            return null;
        }
        $quantity = match ($kind) {
            'receive', 'borrow' => mt_rand(1, 12),
            'count' => max(0, (int) $row['quantity'] + mt_rand(-1, 1)),
            default => mt_rand(1, max(1, min(3, (int) $row['quantity']))),
        };
        $others = array_values(array_filter($stores, static fn (array $one): bool => $one['id'] !== $store));

        return [$kind, "/api/stores/{$store}/entries/".$this->ulid(), [
            ...$now, 'kind' => $kind,
            'rows' => [['item' => $row['code'], 'lot' => $row['number'], 'expires' => $row['expires'], 'quantity' => $quantity, 'condition' => $row['condition']]],
            'reason' => in_array($kind, ['receive', 'move'], true) ? null : 'By chance',
            ...($kind === 'move' ? ['to_store' => $others[array_rand($others)]['id']] : []),
            ...(in_array($kind, ['lend', 'borrow'], true) ? ['partner' => 'Hollowmere Rescue Team', 'due_on' => gmdate('Y-m-d', time() + 86400 * 9)] : []),
        ]];
    }

    /** @return array{string, string, array<string, mixed>}|null */
    private function back(): ?array
    {
        $row = $this->rows('SELECT r.loan_id, r.lot_id, r.quantity - r.back AS open FROM loan_rows r JOIN loans l ON l.id = r.loan_id WHERE r.back < r.quantity AND l.ended_on IS NULL ORDER BY RAND() LIMIT 1')[0] ?? null;

        return $row === null ? null : ['return', "/api/loans/{$row['loan_id']}/returns/".$this->ulid(), [
            'rows' => [['lot_id' => $row['lot_id'], 'quantity' => mt_rand(1, (int) $row['open'])]],
        ]];
    }

    /** @return array<string, mixed>|null */
    private function lying(string $where): ?array
    {
        return $this->rows("SELECT h.pocket_id, h.lot_id, h.`condition`, h.quantity, i.code, l.number, l.expires FROM holdings h JOIN lots l ON l.id = h.lot_id
            JOIN items i ON i.id = l.item_id WHERE {$where} AND h.quantity > 0 ORDER BY RAND() LIMIT 1")[0] ?? null;
    }

    private function one(string $query): mixed
    {
        $found = $this->database->query($query)->fetchColumn();

        return $found === false ? null : $found;
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $query): array
    {
        return $this->database->query($query)->fetchAll(PDO::FETCH_ASSOC);
    }
}
