<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Kit;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What was used is said, and the verdict falls at once. */
final class UseTest extends TestCase
{
    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults, 'Whatever was used, the record adds up.');
        parent::tearDown();
    }

    public function test_the_verdict_falls_at_once_and_rises_when_it_is_put_back(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $this->assertSame('ready', $kit['verdict']['verdict']);
        $sent = $this->taking($kit, ['triangular-bandage', 'foil-blanket', 'gloves-nitrile-large'], 99);
        foreach ([1, 2] as $time) {
            $answer = $this->record('QH-16', $sent, $id ??= $this->ulid())->assertOk()->json();
        }
        $this->assertSame('not_ready', $answer['kit']['verdict']['verdict'], 'gloves are critical');
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $kit['id'])->value('verdict'));
        $this->assertSame(1, DB::table('operations')->where('id', $id)->count());
        $this->assertNotNull($answer['kit']['used_on']);
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-16');
        $this->assertStringContainsString('it was used', implode(' ', $row['reasons']));
        $this->assertSame('Used', $this->getJson('/api/kits/QH-16/history')->json('entries.0.title'));
        $plan = $this->getJson('/api/kits/QH-16/restock')->assertOk()->json();
        $this->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), [
            'store' => $plan['store'], 'base' => $plan['base'], 'begun_at' => now()->toIso8601ZuluString(), 'out' => [], 'seal_reason' => 'Restocked',
            'in' => array_map(static fn (array $one): array => array_intersect_key($one, array_flip(['pocket_id', 'lot_id', 'quantity'])), $plan['in']),
        ])->assertOk();
        $this->assertNotSame('not_ready', $this->readKit('QH-16')['verdict']['verdict']);
    }

    public function test_what_was_opened_stays_and_counts_from_today(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-06');
        $row = collect($kit['contents'])->first(static fn (array $one): bool => $one['opened_life_days'] !== null && $one['condition'] === 'good')
            ?? collect($kit['contents'])->firstWhere('condition', 'good');
        $sent = ['taken' => [[...self::piece($row, 1), 'opened' => true]]];
        $after = $this->record('QH-06', $sent)->assertOk()->json('kit');
        $today = app(\App\Accounts\Models\Organisation::class)->today();
        $opened = array_values(array_filter($after['contents'], static fn (array $one): bool => $one['item'] === $row['item'] && $one['condition'] === 'opened'));
        $this->assertSame([[1, $today]], array_map(static fn (array $one): array => [$one['quantity'], $one['opened_on']], $opened));
        $sum = static fn (array $some): int => array_sum(array_column($some, 'quantity'));
        $this->assertSame($sum($kit['contents']), $sum($after['contents']), 'nothing has left');
        $this->record('QH-06', ['taken' => [[...self::piece($opened[0], 1), 'opened' => true]]])->assertUnprocessable();
        $finished = $this->record('QH-06', ['taken' => [self::piece($opened[0], 1)]])->assertOk()->json('kit');
        $this->assertSame($sum($kit['contents']) - 1, $sum($finished['contents']));
    }

    public function test_more_than_there_is_and_what_is_not_there_is_refused_in_words(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $row = $kit['contents'][0];
        $this->record('QH-16', ['taken' => [self::piece($row, $row['quantity'] + 1)]])->assertUnprocessable()->assertJsonStructure(['errors' => ['taken.0.quantity']]);
        $this->record('QH-16', ['taken' => []])->assertUnprocessable();
        $this->record('QH-16', ['taken' => [[...self::piece($row, 1), 'pocket_id' => $this->ulid()]]])->assertUnprocessable();
        $this->record('QH-16', ['taken' => [[...self::piece($row, 1), 'why' => 'stolen']]])->assertUnprocessable();
        $this->record('QH-16', ['taken' => [[...self::piece($row, 1), 'why' => 'moved']]])->assertUnprocessable();
        $this->record('QH-16', ['taken' => [[...self::piece($row, 1), 'why' => 'moved', 'to_kit' => 'QH-16']]])->assertUnprocessable();
        $this->assertSame($kit['contents'], $this->readKit('QH-16')['contents']);
        $this->actAs('member')->record('QH-16', ['taken' => [self::piece($row, 1)]])->assertForbidden();
    }

    public function test_pieces_are_moved_to_another_kit_and_both_are_judged(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $row = collect($kit['contents'])->firstWhere('item', 'triangular-bandage');
        $there = $this->piecesOf('QH-01', $row['item']);
        $moved = ['taken' => [[...self::piece($row, 1), 'why' => 'moved', 'to_kit' => 'QH-01']]];
        $this->record('QH-16', $moved)->assertOk();
        $this->assertSame($there + 1, $this->piecesOf('QH-01', $row['item']));
        $into = collect($this->readKit('QH-01')['contents'])->where('item', $row['item'])->firstWhere('lot', $row['lot']);
        $this->assertNotNull($into['line'], 'where the line lives that takes it');
        $inside = collect($this->readKit('QH-17')['contents'])->first(static fn (array $one): bool => ! str_contains($one['pocket_id'], '.'));
        $this->record('QH-17', ['taken' => [[...self::piece($inside, 1), 'why' => 'moved', 'to_kit' => 'QH-M1']]])->assertUnprocessable()
            ->assertJsonPath('errors.taken.0', 'QH-M1 is part of the same kit. Pack it anew to move pieces within it.');
        // Into a bag that is shut by a seal nothing goes unseen.
        $this->record('QH-16', ['taken' => [[...$moved['taken'][0], 'to_kit' => 'QH-15']]])->assertUnprocessable();
    }

    public function test_every_reason_is_kept_as_it_was_said(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $rows = array_values(array_filter($kit['contents'], static fn (array $one): bool => $one['quantity'] > 0));
        $why = ['used', 'training', 'given', 'lost'];
        $taken = array_map(static fn (string $reason, int $at): array => [...self::piece($rows[$at], 1), 'why' => $reason], $why, array_keys($why));
        $this->record('QH-16', ['taken' => $taken, 'note' => 'After the lantern evening'])->assertOk();
        $texts = implode(' ', array_column($this->getJson('/api/kits/QH-16/history')->json('entries.0.movements'), 'text'));
        foreach (['used from', 'used for training', 'given away', 'lost'] as $text) {
            $this->assertStringContainsString($text, $texts);
        }
    }

    public function test_a_seal_is_broken_with_the_reason_of_the_module_too(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-15');
        $this->assertSame('intact', $kit['seal']['state']);
        $sent = ['taken' => [self::piece($kit['contents'][0], 1)]];
        $this->record('QH-15', $sent)->assertUnprocessable()->assertJsonStructure(['errors' => ['seal_reason']]);
        $after = $this->record('QH-15', [...$sent, 'seal_reason' => 'A thorn on the walk'])->assertOk()->json('kit');
        $this->assertSame(['broken', 'A thorn on the walk'], [$after['seal']['state'], $after['seal']['reason']]);
        $school = $this->readKit('QH-17');
        $inside = collect($school['contents'])->first(static fn (array $one): bool => str_contains($one['pocket_id'], '.'));
        $this->record('QH-17', ['taken' => [self::piece($inside, 1)]])->assertUnprocessable();
        $this->record('QH-17', ['taken' => [self::piece($inside, 1)], 'seal_reason' => 'Dust in an eye'])->assertOk();
        $this->assertSame('broken', DB::table('kits')->where('code', 'QH-M1')->value('seal'));
    }

    public function test_what_arrives_late_is_recorded_as_far_as_it_is_there(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $row = collect($kit['contents'])->first(static fn (array $one): bool => $one['quantity'] > 2);
        $this->record('QH-16', ['taken' => [self::piece($row, $row['quantity'] - 1)]])->assertOk();
        $late = $this->record('QH-16', ['base' => $kit['base'], 'taken' => [self::piece($row, 2)]])->assertOk()->json();
        $this->assertSame('not_there', $late['unsettled'][0]['because']);
        $this->assertSame(0, $this->piecesOf('QH-16', $row['item'], $row['lot']));
    }

    public function test_a_use_of_a_kit_that_is_out_of_service_asks_for_no_seal_and_somebody_counts_the_store(): void
    {
        $kit = $this->actAs('lead')->readKit('QH-15');
        $sent = ['base' => $kit['base'], 'taken' => [self::piece($kit['contents'][0], 1)]];
        $this->putJson('/api/kits/QH-15/retirement', ['reason' => 'Torn'])->assertOk();
        $earlier = ['begun_at' => now()->subMinutes(31)->toIso8601ZuluString(), 'done_at' => now()->subMinutes(30)->toIso8601ZuluString()];
        $later = ['begun_at' => now()->addMinutes(2)->toIso8601ZuluString(), 'done_at' => now()->addMinutes(3)->toIso8601ZuluString()];
        $inKit = $this->piecesOf('QH-15', $kit['contents'][0]['item']);
        foreach ([$earlier, $later] as $when) {
            // The use is on record. The retirement gave the same piece another place: somebody counts the store.
            $answer = $this->record('QH-15', [...$sent, ...$when])->assertOk()->json();
            $this->assertNotNull($answer['operation']);
            $this->assertSame(['kit_retired'], array_column($answer['unsettled'], 'because'));
        }
        $this->assertSame($inKit, $this->piecesOf('QH-15', $kit['contents'][0]['item']));
        $this->assertStringContainsString('Count the store', collect($this->getJson('/api/unsettled')->json())->pluck('text')->implode(' '));
        $this->artisan('ledger:verify')->assertSuccessful();
    }

    public function test_a_piece_never_moves_into_a_kit_that_is_out_of_service(): void
    {
        $kit = $this->actAs('lead')->readKit('QH-16');
        $this->putJson('/api/kits/QH-15/retirement', ['reason' => 'Torn'])->assertOk();
        $there = (int) DB::table('holdings')->where('kit_id', Kit::query()->where('code', 'QH-15')->value('id'))->sum('quantity');
        $this->record('QH-16', ['taken' => [[...self::piece($kit['contents'][0], 1), 'why' => 'moved', 'to_kit' => 'QH-15']]])
            ->assertUnprocessable()->assertJsonPath('errors.kit.0', fn (string $said): bool => str_starts_with($said, 'QH-15 was taken out of service'));
        $this->assertSame($there, (int) DB::table('holdings')->where('kit_id', Kit::query()->where('code', 'QH-15')->value('id'))->sum('quantity'));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private static function piece(array $row, int $quantity): array
    {
        return [...array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'quantity' => $quantity, 'why' => 'used'];
    }

    /**
     * @param  array<string, mixed>  $kit
     * @param  list<string>  $items
     * @return array<string, mixed>
     */
    private function taking(array $kit, array $items, int $most): array
    {
        $rows = array_filter($kit['contents'], static fn (array $row): bool => in_array($row['item'], $items, true));

        return ['base' => $kit['base'], 'taken' => array_values(array_map(static fn (array $row): array => self::piece($row, min($most, $row['quantity'])), $rows))];
    }

    /**
     * @param  array<string, mixed>  $sent
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function record(string $kit, array $sent, ?string $id = null): TestResponse
    {
        return $this->putJson("/api/kits/{$kit}/uses/".($id ?? $this->ulid()), [
            'base' => $this->getJson("/api/kits/{$kit}")->json('base'), 'begun_at' => now()->toIso8601ZuluString(), ...$sent,
        ]);
    }

    private function piecesOf(string $kit, string $item, ?string $lot = null): int
    {
        return (int) collect($this->readKit($kit)['contents'])->where('item', $item)
            ->filter(static fn (array $one): bool => $lot === null || $one['lot'] === $lot)->sum('quantity');
    }
}
