<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Kit;
use App\Ledger\BaseIsAhead;
use App\Ledger\Canonical;
use App\Ledger\DoesNotBelong;
use App\Ledger\Head;
use App\Ledger\Keys;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Models\Operation as OperationModel;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Part;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Ledger\Verification\Verify;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What an operation is, what belongs to it, and that it is recorded once, whole and for good. */
final class RecordTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function kept(): iterable
    {
        foreach (Part::allKeptTables() as $table) {
            yield $table => [$table];
        }
    }

    #[DataProvider('kept')]
    public function test_who_serves_people_can_neither_change_nor_remove_what_is_kept(string $table): void
    {
        $this->changesRowsByHand();
        foreach ([
            "UPDATE `{$table}` SET ".($table === 'operations' ? 'note' : 'position').' = NULL',
            "DELETE FROM `{$table}`", "TRUNCATE `{$table}`", "DROP TABLE `{$table}`",
            "ALTER TABLE `{$table}` ADD x INT", "DROP TRIGGER {$table}_no_update",
        ] as $statement) {
            try {
                DB::connection('mariadb')->unprepared($statement);
                $this->fail("{$statement} was let through.");
            } catch (QueryException $refused) {
                $this->assertMatchesRegularExpression('/denied|command denied|is never changed/', $refused->getMessage());
            }
        }
    }

    #[DataProvider('kept')]
    public function test_the_triggers_refuse_even_the_owner(string $table): void
    {
        if (DB::table($table)->doesntExist()) {
            $this->markTestSkipped('The demo has none of these.');
        }
        foreach ([
            "UPDATE `{$table}` SET ".($table === 'operations' ? "note = 'x'" : 'position = position + 1'),
            "DELETE FROM `{$table}`",
        ] as $statement) {
            try {
                DB::connection('owner')->unprepared($statement);
                $this->fail("{$statement} was let through.");
            } catch (QueryException $refused) {
                $this->assertStringContainsString("What was recorded in {$table} is never changed", $refused->getMessage());
            }
        }
    }

    public function test_fields_are_told_apart_whatever_they_hold(): void
    {
        $row = static fn (?string $signed, ?string $note): string => Canonical::text('', ['signed' => $signed, 'note' => $note], []);
        $texts = [
            $row('a', 'b'), $row('ab', ''), $row('', 'ab'), $row('ab', null), $row(null, 'ab'), $row('1:a', 'b'),
            $row('a', '1:b'), $row('-', ''), $row(null, '-'),
        ];
        $this->assertSame($texts, array_values(array_unique($texts)));
    }

    public function test_a_row_of_one_table_is_never_read_as_one_of_another(): void
    {
        $seal = ['position' => 0, 'kit_id' => 'k', 'event' => 'set', 'seal_number' => 'S', 'reason' => null, 'set_by' => null];
        $this->assertNotSame(Canonical::text('', [], ['seals' => [$seal]]), Canonical::text('', [], ['seals' => [$seal, $seal]]));
        $this->assertNotSame(Canonical::text('', [], ['seals' => []]), Canonical::text('0', [], []));
    }

    public function test_each_kind_refuses_what_is_no_part_of_it(): void
    {
        $kit = $this->kit('QH-01');
        $held = $kit->holdings()->firstOrFail();
        foreach (OperationKind::cases() as $kind) {
            $way = 'kit > out, used';
            $movement = new LotMovement($held->lot_id, 1, Location::pocket($kit->id, (string) $held->pocket_id), null, 'used');
            $operation = Operation::now($this->ulid(), $kind, $this->person('lead'), now(), now()->toDateString())->of([$kit])->with([$movement]);
            if (in_array($way, $kind->kind()->ways(), true)) {
                continue;
            }
            try {
                app(Record::class)->write($operation);
                $this->fail("An operation of the kind {$kind->value} took what was used.");
            } catch (DoesNotBelong $refused) {
                $this->assertNotSame('', $refused->getMessage());
            }
        }
        $this->assertTrue(app(Verify::class)()->isWhole());
    }

    public function test_every_kind_of_movement_between_stores_and_kits_is_recorded_and_adds_up(): void
    {
        $kit = $this->kit('QH-01');
        $held = $kit->holdings()->where('quantity', '>', 3)->firstOrFail();
        $store = $this->store();
        $pocket = Location::pocket($kit->id, (string) $held->pocket_id);
        $shelf = Location::store($store->id);
        $lot = $held->lot_id;
        $done = [
            [OperationKind::Receive, new LotMovement($lot, 5, null, $shelf, 'received'), [], [$store]],
            [OperationKind::Count, new LotMovement($lot, 1, $shelf, null, 'counted'), [], [$store]],
            [OperationKind::Count, new LotMovement($lot, 1, $shelf, Location::store($store->id, 'damaged'), 'counted'), [], [$store]],
            [OperationKind::Dispose, new LotMovement($lot, 1, Location::store($store->id, 'damaged'), null, 'discarded'), [], [$store]],
            [OperationKind::Transfer, new LotMovement($lot, 2, $shelf, $pocket, 'transferred'), [$kit], [$store]],
            [OperationKind::Use, new LotMovement($lot, 1, $pocket, null, 'used'), [$kit], []],
            [OperationKind::Restock, new LotMovement($lot, 1, $pocket, $shelf, 'returned'), [$kit], [$store]],
        ];
        $before = (int) $held->quantity;
        foreach ($done as [$kind, $movement, $kits, $stores]) {
            $kits = array_map(static fn (Kit $one): Kit => Kit::locked($one->id), $kits);
            app(Record::class)->write(Operation::now(
                $this->ulid(),
                $kind,
                $this->person('lead'),
                now(),
                now()->toDateString(),
            )->of($kits, $stores)->with([$movement]));
        }
        $this->assertSame($before + 2 - 1 - 1, (int) DB::table('holdings')->where('id', $held->id)->value('quantity'));
        $this->assertSame(now()->toDateString(), Kit::query()->findOrFail($kit->id)->used_on);
        $this->assertSame([], app(Verify::class)()->faults);
        $this->expectException(PiecesAreNotThere::class);
        app(Record::class)->write(Operation::now(
            $this->ulid(),
            OperationKind::Dispose,
            $this->person('lead'),
            now(),
            now()->toDateString(),
        )->of([], [$store])->with([new LotMovement($lot, 1, Location::store($store->id, 'damaged'), null, 'discarded')]));
    }

    public function test_the_end_of_the_record_is_held_for_a_dozen_statements_at_the_most(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-13');
        $check = $this->asRecorded($kit);
        $check['rows'][0]['quantity'] += 1;
        $statements = [];
        DB::listen(function ($query) use (&$statements): void {
            $statements[] = $query->sql;
        });
        $this->finish($check + ['seal_reason' => 'Planned full check', 'seal_set' => 'S-900'])->assertOk();
        $from = array_find_key_of(
            $statements,
            static fn (string $sql): bool => str_contains($sql, 'ledger_head') && str_contains($sql, 'for update'),
        );
        $to = array_find_key_of($statements, static fn (string $sql): bool => str_starts_with($sql, 'update `ledger_head`'));
        $this->assertNotNull($from);
        $this->assertNotNull($to);
        $held = array_slice($statements, $from, $to - $from + 1);
        $this->assertLessThanOrEqual(12, count($held), implode("\n", $held));
        $after = array_filter(array_slice($statements, $to + 1), static fn (string $sql): bool => ! str_starts_with($sql, 'select'));
        $this->assertSame([], $after, 'Nothing is written after the head was moved but the commit.');
    }

    public function test_one_id_is_one_operation_by_one_person_for_one_kit(): void
    {
        $this->actAs('keeper');
        $one = $this->asRecorded($this->readKit('QH-01'));
        $id = $this->ulid();
        $first = $this->finish($one, $id)->assertOk()->json();
        $count = OperationModel::query()->count();
        $this->assertSame($first, $this->finish($one, $id)->assertOk()->json());
        $this->assertSame($first, $this->finish($one, strtoupper($id))->assertOk()->json());
        $this->finish(['note' => 'another note'] + $one, $id)->assertConflict();
        $this->finish($this->asRecorded($this->readKit('QH-02')), $id)->assertUnprocessable()->assertJsonValidationErrors('id');
        $plan = $this->getJson('/api/kits/QH-01/restock')->json();
        $this->putJson(
            "/api/kits/QH-01/seals/{$id}",
            ['event' => 'set', 'seal_number' => 'S-1', 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base']],
        )->assertUnprocessable()->assertJsonValidationErrors('id');
        $this->actAs('lead')->finish($one, $id)->assertUnprocessable()->assertJsonValidationErrors('id');
        $this->assertSame($count, OperationModel::query()->count());
    }

    public function test_what_claims_to_have_seen_more_than_there_is_is_refused_in_words(): void
    {
        $this->actAs('keeper');
        $check = $this->asRecorded($this->readKit('QH-01'));
        foreach ([['epoch' => 1, 'number' => $check['base']['number'] + 1], ['epoch' => 2, 'number' => 0]] as $base) {
            $errors = $this->finish(['base' => $base] + $check)->assertUnprocessable()->json('errors.base');
            $this->assertStringContainsString('the record ends with operation', $errors[0]);
        }
        $this->finish(['base' => ['epoch' => 0, 'number' => 1]] + $check)->assertUnprocessable()->assertJsonValidationErrors('base.epoch');
        $this->finish(['base' => 7] + $check)->assertUnprocessable()->assertJsonValidationErrors('base');
        $this->expectException(BaseIsAhead::class);
        app(Record::class)->refuseAhead(new \App\Ledger\Base(1, 99999), Head::read());
    }

    public function test_times_that_cannot_be_are_refused_in_words(): void
    {
        $check = $this->asRecorded($this->actAs('keeper')->readKit('QH-01'));
        $cases = [
            'begun_at' => ['0001-01-01T00:00:00Z', '1999-12-31T23:59:59Z', '2099-01-01T00:00:00Z', 'soon', ''],
            'done_at' => ['0001-01-01T00:00:00Z', '2099-01-01T00:00:00Z', now()->subDay()->toIso8601ZuluString()],
        ];
        foreach ($cases as $field => $values) {
            foreach ($values as $value) {
                $errors = $this->finish([$field => $value] + $check)->assertUnprocessable()->json('errors');
                $this->assertArrayHasKey($field, $errors, "{$field} {$value}");
                $this->assertMatchesRegularExpression('/clock|Say when/', $errors[$field][0]);
            }
        }
    }

    public function test_a_signed_copy_proves_itself_and_holds_the_record_to_it(): void
    {
        $this->actAs('auditor');
        $operation = OperationModel::query()->where('kind', 'full_check')->firstOrFail();
        $copy = $this->getJson("/api/operations/{$operation->id}/copy")->assertOk()->json();
        $this->assertSame(
            ['sarcina.record/1', $operation->number, $operation->hash],
            [$copy['format'], $copy['checkpoint']['number'], $copy['checkpoint']['hash']],
        );
        $point = $copy['checkpoint'];
        $text = "sarcina.checkpoint/1\n".implode(
            '',
            array_map(Canonical::field(...), [$point['epoch'], $point['number'], $point['hash'], $point['day']]),
        );
        $this->assertTrue(sodium_crypto_sign_verify_detached(
            (string) base64_decode($point['signature'], true),
            $text,
            (string) base64_decode($point['public_key'], true),
        ));
        $this->assertSame($point['public_key'], app(Keys::class)->publicKey());
        $path = (string) tempnam(sys_get_temp_dir(), 'copy');
        file_put_contents($path, json_encode($copy));
        $this->artisan("ledger:verify --checkpoint={$path}")->expectsOutputToContain('1 checkpoints hold')->assertExitCode(0);
        $copy['checkpoint']['hash'] = str_repeat('a', 64);
        file_put_contents($path, json_encode($copy));
        $this->artisan("ledger:verify --checkpoint={$path}")->expectsOutputToContain('was not signed by this instance')->assertExitCode(2);
        unlink($path);
        $this->actAs('member')->getJson("/api/operations/{$operation->id}/copy")->assertForbidden();
    }

    public function test_a_restore_begins_a_new_epoch_and_is_reported(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'point');
        file_put_contents($path, json_encode(\App\Ledger\Checkpoint::of(Head::read(), now()->toDateString(), app(Keys::class))->document()));
        $this->artisan("ledger:restored {$path}")->assertExitCode(2);
        $this->artisan("ledger:restored {$path} --by='Ida Brandt'")->expectsOutputToContain('Recorded as operation')->assertExitCode(0);
        unlink($path);
        $this->assertSame(2, Head::read()->epoch);
        $this->artisan('ledger:verify')->expectsOutputToContain('by Ida Brandt: epoch 2 begins')->assertExitCode(0);
        // What rests on the record from before the restore is late, never refused.
        $check = $this->asRecorded($this->actAs('keeper')->readKit('QH-01'));
        $this->finish(['base' => ['epoch' => 1, 'number' => 9999]] + $check)->assertOk()->assertJson(['standing' => 'stands']);
    }
}

/**
 * @param  list<string>  $list
 * @param  callable(string): bool  $is
 */
function array_find_key_of(array $list, callable $is): ?int
{
    foreach ($list as $index => $one) {
        if ($is($one)) {
            return $index;
        }
    }

    return null;
}
