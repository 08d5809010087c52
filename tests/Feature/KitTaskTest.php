<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Who answers for a kit, what was given to whom until when, and what is one's own on Today. */
final class KitTaskTest extends TestCase
{
    public function test_a_kit_has_a_responsible_person_and_a_deputy(): void
    {
        [$lead, $keeper, $member] = [$this->person('lead'), $this->person('keeper'), $this->person('member')];
        $this->actAs('lead');
        $set = fn (?string $one, ?string $other) => $this->putJson('/api/kits/QH-18/responsible', ['responsible_id' => $one, 'deputy_id' => $other]);
        $kit = $set($keeper->id, $lead->id)->assertOk()->json();
        $this->assertSame(['Tobias Renn', 'Maren Oduya'], [$kit['responsible']['name'], $kit['deputy']['name']]);
        $this->assertSame('Tobias Renn', $this->getJson('/api/kit-tasks?kit=QH-18')->json('responsible.name'));
        $set($keeper->id, $keeper->id)->assertUnprocessable()->assertJsonPath('errors.deputy_id.0', 'The deputy is somebody else than the responsible person.');
        $set($member->id, null)->assertUnprocessable()
            ->assertJsonPath('errors.responsible_id.0', 'Isolde Varga may not work on kits. Choose a lead or a keeper.');
        $this->assertNull($set(null, null)->assertOk()->json('responsible'));
        $this->putJson('/api/kits/QH-18/responsible', ['responsible_id' => null])->assertUnprocessable();
    }

    public function test_work_is_given_once_with_a_day_and_a_check_does_it(): void
    {
        $id = $this->ulid();
        $task = ['kind' => 'check', 'text' => 'Count the gloves twice', 'user_id' => $this->person('keeper')->id, 'due_on' => now()->addDays(3)->toDateString()];
        $this->actAs('lead');
        foreach ([1, 2] as $time) {
            $tasks = $this->putJson("/api/kits/QH-04/tasks/{$id}", $task)->assertOk()->json('tasks');
            $this->assertSame([['check', 'Check the kit: Count the gloves twice', 'Tobias Renn', 'Maren Oduya', false]], array_map(
                static fn (array $one): array => [$one['kind'], $one['text'], $one['user'], $one['given_by'], $one['is_overdue']], $tasks,
            ), "Sent {$time} times.");
        }
        $this->putJson("/api/kits/QH-05/tasks/{$id}", $task)->assertConflict();
        $mine = $this->actAs('keeper')->getJson('/api/kit-tasks?whose=mine')->assertOk()->json('tasks');
        $this->assertContains('QH-04', array_column($mine, 'kit'));
        $this->finish($this->asRecorded($this->readKit('QH-04')))->assertOk();
        $this->assertSame([], $this->getJson('/api/kit-tasks?kit=QH-04')->json('tasks'));
        $this->assertSame('done', DB::table('kit_tasks')->where('id', $id)->value('state'));
    }

    public function test_who_answers_for_a_kit_gives_work_on_it_and_nobody_else_does(): void
    {
        $task = ['kind' => 'other', 'text' => 'Mend the strap', 'user_id' => $this->person('lead')->id, 'due_on' => now()->toDateString()];
        $this->actAs('keeper')->putJson("/api/kits/QH-03/tasks/{$this->ulid()}", $task)->assertOk();
        $this->putJson("/api/kits/QH-06/tasks/{$this->ulid()}", $task)->assertOk();
        $this->putJson("/api/kits/QH-17/tasks/{$this->ulid()}", $task)->assertForbidden();
        $this->actAs('member')->putJson("/api/kits/QH-03/tasks/{$this->ulid()}", $task)->assertForbidden();
        foreach ([
            ['user_id' => $this->person('auditor')->id, 'may not work on kits'],
            ['due_on' => now()->subDays(2)->toDateString(), 'today or later'],
            ['text' => null, 'Say what is to be done'],
        ] as $wrong) {
            $says = array_pop($wrong);
            $field = (string) array_key_first($wrong);
            $errors = $this->actAs('lead')->putJson("/api/kits/QH-03/tasks/{$this->ulid()}", [...$task, ...$wrong])->assertUnprocessable()->json('errors');
            $this->assertStringContainsString((string) $says, $errors[$field][0]);
        }
    }

    public function test_a_task_is_closed_by_who_has_it_or_withdrawn_with_a_reason(): void
    {
        $task = DB::table('kit_tasks')->join('kits', 'kits.id', '=', 'kit_tasks.kit_id')->where('kits.code', 'QH-16')->value('kit_tasks.id');
        $path = "/api/kit-tasks/{$task}";
        $this->actAs('keeper')->putJson($path, ['state' => 'withdrawn'])->assertUnprocessable()->assertJsonPath('errors.outcome.0', 'Say why the task is withdrawn.');
        $this->putJson($path, ['state' => 'done', 'outcome' => 'Borrowed from the café'])->assertOk()->assertJsonPath('in_all', 0);
        $this->putJson($path, ['state' => 'done'])->assertOk();
        $this->actAs('lead')->putJson($path, ['state' => 'withdrawn', 'outcome' => 'Not needed'])->assertConflict();
        $other = DB::table('kit_tasks')->join('kits', 'kits.id', '=', 'kit_tasks.kit_id')->where('kits.code', 'QH-17')->value('kit_tasks.id');
        $this->actAs('keeper')->putJson("/api/kit-tasks/{$other}", ['state' => 'done'])->assertForbidden();
    }

    public function test_today_shows_what_is_ones_own_and_what_nobody_has(): void
    {
        $codes = fn (string $whose): array => array_column($this->getJson("/api/today?whose={$whose}")->assertOk()->json('work'), 'kit');
        $all = $this->actAs('keeper')->getJson('/api/today')->json();
        $mine = $codes('mine');
        $this->assertContains('QH-07', $mine);
        // Given work on it, though somebody else answers for it.
        $this->assertContains('QH-G4', $mine);
        $nobody = $codes('nobody');
        $this->assertContains('QH-G5', $nobody);
        $this->assertSame([], array_diff($nobody, ['QH-G5', 'QH-18']));
        $this->assertSame($all['counts'], $this->getJson('/api/today?whose=mine')->json('counts'), 'The counts are of all kits.');
        $this->assertSame(count($mine), $this->getJson('/api/today?whose=mine')->json('work_in_all'));
        $this->getJson('/api/today?whose=theirs')->assertUnprocessable();
        $this->actAs('member');
        $this->assertSame([], $codes('mine'));
    }

    public function test_what_a_restock_leaves_in_is_somebodys_task_until_it_is_replaced(): void
    {
        $this->changesRowsByHand();
        // The only pressure bandage is damaged on the record, and no store has another: it stays, since it is better than none.
        $kit = $this->kit('QH-G1');
        $bandage = $kit->holdings()->whereHas('lot.item', fn ($item) => $item->where('code', 'pressure-bandage'))->firstOrFail();
        $until = now()->addDays(9)->toDateString();
        DB::table('lots')->where('id', $bandage->lot_id)->update(['expires' => $until, 'expires_key' => $until, 'good_until' => $until]);
        DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereNotNull('store_id')->where('items.code', 'pressure-bandage')->delete();
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-G1/restock')->assertOk()->json();
        $this->assertSame([['Pressure bandage with closure bar', 1]], array_map(static fn (array $one): array => [$one['name'], $one['quantity']], $plan['stays']));
        $gone = fn (string $item): array => array_map(
            static fn (array $row): array => ['quantity' => $row['item'] === $item ? 0 : $row['quantity']] + $row,
            $this->asRecorded($this->readKit('QH-G1'))['rows'],
        );
        $this->finish(['rows' => $gone('marker-pen')] + $this->asRecorded($this->readKit('QH-G1')))->assertOk();
        $plan = $this->getJson('/api/kits/QH-G1/restock')->json();
        $this->assertNotSame([], $plan['in']);
        $this->putJson("/api/kits/QH-G1/restocks/{$this->ulid()}", [
            'store' => $plan['store'], 'base' => $plan['base'], 'begun_at' => now()->subMinutes(5)->toIso8601ZuluString(), 'out' => [],
            'in' => array_map(static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'quantity'])), $plan['in']),
        ])->assertOk();
        $tasks = $this->getJson('/api/kit-tasks?kit=QH-G1')->json('tasks');
        $this->assertSame(['replace', 'Tobias Renn', now()->addDays(9)->toDateString()], [$tasks[0]['kind'], $tasks[0]['user'], $tasks[0]['due_on']]);
        $this->assertStringStartsWith('Replace 1 piece of Pressure bandage with closure bar, lot ', $tasks[0]['text']);
        // Counted as gone: there is nothing left to replace.
        $this->finish(['rows' => $gone('pressure-bandage')] + $this->asRecorded($this->readKit('QH-G1')))->assertOk();
        $this->assertSame([], $this->getJson('/api/kit-tasks?kit=QH-G1')->json('tasks'));
    }
}
