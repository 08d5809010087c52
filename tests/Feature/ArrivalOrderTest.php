<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * Restocks, uses and full checks that are done one after another by clocks that are sure, and arrive in any order. Contents and status of
 * the kit do not depend on the order of arrival, and are what somebody would find in it.
 */
final class ArrivalOrderTest extends TestCase
{
    private const GLOVES = 'gloves-nitrile-large';

    private const SEQUENCES = 25;

    public function test_contents_and_status_do_not_depend_on_the_order_of_arrival(): void
    {
        $this->travelTo(now()->setTime(12, 0));
        $random = new Randomizer(new Mt19937(7));
        $kit = $this->actAs('lead')->readKit('QH-16');
        $row = collect($kit['contents'])->firstWhere('item', self::GLOVES);
        $shelf = DB::table('holdings')->where('lot_id', $row['lot_id'])->whereNotNull('store_id')->where('condition', 'good')->first(['store_id', 'quantity']);
        $store = $shelf->store_id ?? $this->store()->id;
        $this->fillStore((string) $store, $row);
        $kit = $this->readKit('QH-16');
        $row = collect($kit['contents'])->firstWhere('item', self::GLOVES);
        $checks = 0;
        for ($sequence = 0; $sequence < self::SEQUENCES; $sequence++) {
            [$steps, $there] = $this->steps($random, $kit, $row, (string) $store);
            $checks += count(array_filter($steps, static fn (array $step): bool => $step[0] === 'check'));
            $found = [];
            foreach ([$steps, array_reverse($steps), $random->shuffleArray($steps)] as $order) {
                DB::beginTransaction();
                foreach ($order as [$what, $id, $body]) {
                    $this->app?->forgetScopedInstances();
                    match ($what) {
                        'check' => $this->finish($body, $id)->assertOk(),
                        'restock' => $this->putJson("/api/kits/QH-16/restocks/{$id}", $body)->assertOk(),
                        default => $this->putJson("/api/kits/QH-16/uses/{$id}", $body)->assertOk(),
                    };
                }
                $this->app?->forgetScopedInstances();
                $now = $this->readKit('QH-16');
                $found[] = [
                    (int) array_sum(array_column(array_filter($now['contents'], static fn (array $one): bool => $one['item'] === self::GLOVES), 'quantity')),
                    $now['verdict']['verdict'],
                ];
                DB::rollBack();
            }
            $said = 'Sequence '.$sequence.': '.implode(', ', array_column($steps, 0));
            $this->assertSame(1, count(array_unique($found, SORT_REGULAR)), $said.' '.json_encode($found));
            $this->assertSame($there, $found[0][0], $said);
        }
        $this->assertGreaterThan(10, $checks);
    }

    /**
     * @param  array<string, mixed>  $kit
     * @param  array<string, mixed>  $row  of the gloves
     * @return array{list<array{string, string, array<string, mixed>}>, int} what is done, in that order, and how many gloves are there then
     */
    private function steps(Randomizer $random, array $kit, array $row, string $store): array
    {
        $there = (int) $row['quantity'];
        $place = array_intersect_key($row, array_flip(['pocket_id', 'lot_id']));
        $steps = [];
        $minutes = 300;
        for ($step = $random->getInt(2, 5); $step > 0; $step--) {
            $when = [
                'base' => $kit['base'], 'begun_at' => now()->subMinutes($minutes)->toIso8601ZuluString(),
                'done_at' => now()->subMinutes($minutes - 5)->toIso8601ZuluString(), 'clock_checked_at' => now()->toIso8601ZuluString(),
            ];
            $minutes -= 20;
            $what = ['restock', 'restock', 'use', 'check'][$random->getInt(0, 3)];
            if ($what === 'use' && ($there < 2 || $this->hasRestock($steps))) {
                // Somebody cannot record the use of pieces whose restock has not arrived: that waits on their device.
                $what = 'check';
            }
            if ($what === 'restock') {
                $pieces = $random->getInt(1, 4);
                $there += $pieces;
                $steps[] = [$what, $this->ulid(), ['store' => $store, 'out' => [], 'in' => [[...$place, 'quantity' => $pieces]]] + $when];
            } elseif ($what === 'use') {
                $there--;
                $steps[] = [$what, $this->ulid(), ['taken' => [[...$place, 'condition' => $row['condition'], 'opened_on' => null, 'quantity' => 1, 'why' => 'used']]] + $when];
            } else {
                // Now and then the checker finds fewer than should be there.
                $there = max(1, $there - $random->getInt(0, 2));
                $check = $this->asRecorded($kit);
                foreach ($check['rows'] as $at => $one) {
                    $check['rows'][$at]['quantity'] = $one['item'] === self::GLOVES ? $there : $one['quantity'];
                }
                $steps[] = [$what, $this->ulid(), $when + $check];
            }
        }

        return [$steps, $there];
    }

    /** @param  list<array{string, string, array<string, mixed>}>  $steps */
    private function hasRestock(array $steps): bool
    {
        return array_filter($steps, static fn (array $step): bool => $step[0] === 'restock') !== [];
    }

    /** @param  array<string, mixed>  $row */
    private function fillStore(string $store, array $row): void
    {
        $head = \App\Ledger\Head::read();
        $this->putJson("/api/stores/{$store}/entries/".$this->ulid(), [
            'kind' => 'receive', 'begun_at' => now()->subHours(8)->toIso8601ZuluString(), 'base' => ['epoch' => $head->epoch, 'number' => $head->number],
            'rows' => [['item' => self::GLOVES, 'lot' => $row['lot'], 'expires' => $row['expires'], 'quantity' => 100, 'new_lot' => false]],
        ])->assertSuccessful();
        $check = $this->asRecorded($kit = $this->readKit('QH-16'));
        foreach ($check['rows'] as $at => $one) {
            $check['rows'][$at]['quantity'] = $one['item'] === self::GLOVES && $one['lot'] === $row['lot'] ? 12 : ($one['item'] === self::GLOVES ? 0 : $one['quantity']);
        }
        $this->finish(['begun_at' => now()->subHours(7)->toIso8601ZuluString(), 'done_at' => now()->subHours(7)->addMinute()->toIso8601ZuluString(), 'clock_checked_at' => now()->toIso8601ZuluString()] + $check)->assertOk();
    }
}
