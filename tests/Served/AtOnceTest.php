<?php

declare(strict_types=1);

namespace Tests\Served;

/** The same thing sent by several at the same moment: it is done once, and nobody is told that something went wrong here. */
final class AtOnceTest extends ServedTestCase
{
    private const ROUNDS = 6;

    /** @var array<string, Client> */
    private array $clients = [];

    public function test_the_same_new_kit_by_several(): void
    {
        $lead = $this->signIn('lead');
        $design = current($lead->get('/api/designs')['body'])['id'];
        $place = current($lead->get('/api/places')['body']['places'])['id'];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $code = "AT-{$round}";
            $id = $this->ulid();
            $kit = fn (string $id): array => [
                'id' => $id, 'code' => $code, 'name' => 'At once', 'design_id' => $design, 'place_id' => $place, 'scope' => 'first_aider',
            ];
            // One of them sends it twice; others make another kit under the same code.
            $answers = $this->atOnce(array_map(
                fn (int $number, string $id): \CurlHandle => $this->another('lead', $number)->request('POST', '/api/kits', $kit($id)),
                range(0, 3),
                [$id, $id, $this->ulid(), $this->ulid()],
            ));
            $this->assertSame([], array_diff($answers, [200, 201, 409, 422]), implode(' ', $answers));
            $this->assertSame(1, $this->number("SELECT COUNT(*) FROM kits WHERE code = '{$code}'"));
            $this->assertSame(1, $this->number("SELECT COUNT(*) FROM kit_states JOIN kits ON kits.id = kit_id WHERE kits.code = '{$code}'"));
        }
        $this->assertLedgerIsWhole();
    }

    public function test_the_same_new_item_by_several(): void
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $item = [
                'code' => "at-once-{$round}", 'name' => 'At once', 'class' => 'tape', 'count_unit' => 'each', 'dated' => false, 'sterile' => false,
                'mass' => '5 g', 'scope' => 'anyone', 'reserve' => true, 'purpose' => 'Holds', 'caution' => null, 'allergy' => null,
                'superseded_by' => null, 'storage_min_c' => null, 'storage_max_c' => null, 'opened_life' => null, 'opened_life_unit' => null,
                'measures' => [], 'packs' => [], 'needs' => [], 'stand_ins' => [],
            ];
            $answers = $this->atOnce(array_map(
                fn (int $number): \CurlHandle => $this->another('lead', $number)->request('POST', '/api/items', $item),
                range(1, 4),
            ));
            sort($answers);
            $this->assertSame(201, $answers[0]);
            $this->assertSame([], array_diff(array_slice($answers, 1), [409, 422]), implode(' ', $answers));
            $this->assertSame(1, $this->number("SELECT COUNT(*) FROM items WHERE code = 'at-once-{$round}'"));
        }
    }

    public function test_one_new_lot_found_in_three_kits_is_one_lot(): void
    {
        $keeper = $this->signIn('keeper');
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $curls = [];
            foreach (['QH-01', 'QH-02', 'QH-05'] as $index => $code) {
                $check = $this->oneFewer($keeper, $code);
                $check['seal_reason'] = 'planned full check';
                $pocket = $check['rows'][0]['pocket_id'];
                // The same number, typed in capitals or not.
                $check['rows'][] = [
                    'pocket_id' => $pocket, 'item' => 'foil-blanket', 'lot' => ["new-{$round}", "NEW-{$round}", "New-{$round}"][$index],
                    'expires' => '2031-05', 'quantity' => 1, 'condition' => 'good', 'new_lot' => true,
                ];
                $curls[] = $this->another('keeper', $index)->request('PUT', '/api/checks/'.$this->ulid(), $check);
            }
            $this->assertSame([200, 200, 200], $this->atOnce($curls));
            $this->assertSame(1, $this->number("SELECT COUNT(*) FROM lots WHERE number_key = 'NEW-{$round}'"));
            $this->assertSame(3, $this->number("SELECT COUNT(*) FROM holdings JOIN lots ON lots.id = lot_id WHERE number_key = 'NEW-{$round}'"));
        }
        $this->assertLedgerIsWhole();
        $this->assertSame(0, $this->artisan('kits:verify', $said), $said);
    }

    public function test_one_id_by_two_people_is_one_operation(): void
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $id = $this->ulid();
            [$keeper, $lead] = [$this->another('keeper', 0), $this->another('lead', 0)];
            $answers = $this->atOnce([
                $keeper->request('PUT', "/api/checks/{$id}", $this->oneFewer($keeper, 'QH-01')),
                $lead->request('PUT', "/api/checks/{$id}", $this->oneFewer($lead, 'QH-02')),
            ]);
            sort($answers);
            $this->assertSame(200, $answers[0]);
            $this->assertContains($answers[1], [409, 422]);
            $this->assertSame(1, $this->number("SELECT COUNT(*) FROM operations WHERE id = '{$id}'"));
        }
    }

    /** A session of its own for each that sends at the same moment, kept for all rounds. */
    private function another(string $who, int $number): Client
    {
        return $this->clients["{$who} {$number}"] ??= $this->signIn($who);
    }
}
