<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Canonical;
use App\Ledger\Checkpoint;
use App\Ledger\Head;
use App\Ledger\HeadFile;
use App\Ledger\Keys;
use App\Ledger\Triggers;
use App\Ledger\Verification\ReadsRecord;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whatever is done to the record behind the application's back is named when it is verified. */
final class LedgerTest extends TestCase
{
    public function test_the_demo_data_is_whole(): void
    {
        $this->artisan('ledger:verify')->expectsOutputToContain('The record is whole')->assertExitCode(0);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function tampering(): iterable
    {
        $first = static fn (string $table, string $where = '1=1'): string => "(SELECT n FROM (SELECT MIN(operation_number) AS n FROM `{$table}` WHERE {$where}) t)";
        yield 'a changed quantity' => [
            ['UPDATE movements SET quantity = quantity + 1 WHERE operation_number = 5 AND position = 0'],
            'Operation 5 is not as it was recorded',
        ];
        yield 'another reason' => [
            ["UPDATE movements SET reason = 'lost' WHERE operation_number = 6 AND position = 1"],
            'Operation 6 is not as it was recorded',
        ];
        yield 'another name of the doer' => [
            ["UPDATE operations SET user_name = 'Nobody' WHERE number = 30"],
            'Operation 30 is not as it was recorded',
        ];
        yield 'another day' => [["UPDATE operations SET day = '2020-01-01' WHERE number = 31"], 'Operation 31 is not as it was recorded'];
        yield 'another signature' => [
            ["UPDATE operations SET signed = NULL WHERE number = (SELECT n FROM (SELECT MIN(number) n FROM operations WHERE kind = 'full_check') t)"],
            'is not as it was recorded',
        ];
        yield 'a name as it did not read' => [
            ["UPDATE movements SET item_name = 'Feather' WHERE operation_number = 7 AND position = 0"],
            'Operation 7 is not as it was recorded',
        ];
        yield 'a removed movement' => [
            ['DELETE FROM movements WHERE operation_number = 8 AND position = 0'],
            'Operation 8 is not as it was recorded',
        ];
        yield 'a movement put in' => [
            ['INSERT INTO movements SELECT operation_number, 9999, lot_id, item_code, item_name, lot_number, expires, quantity, from_kit_id, from_pocket_id, from_pocket, from_store_id, from_condition, to_kit_id, to_pocket_id, to_pocket, to_store_id, to_condition, reason FROM movements WHERE operation_number = 9 AND position = 0'],
            'Operation 9 is not as it was recorded',
        ];
        yield 'a changed verdict' => [
            ["UPDATE checks SET verdict = 'ready' WHERE operation_number = {$first('checks', "verdict <> 'ready'")}"],
            'is not as it was recorded',
        ];
        yield 'a changed count' => [
            ["UPDATE check_rows SET counted = counted + 1 WHERE operation_number = {$first('check_rows')} AND position = 0"],
            'is not as it was recorded',
        ];
        yield 'a removed finding' => [
            ["DELETE FROM check_findings WHERE operation_number = {$first('check_findings')}"],
            'is not as it was recorded',
        ];
        yield 'a changed line' => [
            ["UPDATE check_lines SET `short` = '0', required = '0' WHERE operation_number = {$first('check_lines')} AND position = 0"],
            'is not as it was recorded',
        ];
        yield 'a seal of another number' => [
            ["UPDATE seals SET seal_number = 'X-1' WHERE operation_number = {$first('seals')}"],
            'is not as it was recorded',
        ];
        yield 'another place' => [
            ["UPDATE kit_changes SET becomes_name = 'Nowhere' WHERE operation_number = {$first('kit_changes')} AND field = 'place'"],
            'is not as it was recorded',
        ];
        yield 'a removed operation' => [[self::without(40)], 'Operation 40 is missing: removed from the record'];
        yield 'a cut tail' => [[self::without('(SELECT n FROM (SELECT MAX(number) n FROM operations) t)')], 'its end was cut off'];
        yield 'a cut tail and the head set back' => [[
            self::without('(SELECT n FROM (SELECT MAX(number) n FROM operations) t)'),
            'UPDATE ledger_head SET number = (SELECT MAX(number) FROM operations), hash = (SELECT hash FROM operations ORDER BY number DESC LIMIT 1)',
        ], 'the end of the record was cut off'];
        yield 'two exchanged' => [
            [self::renumber(50, 999_999), self::renumber(51, 50), self::renumber(999_999, 51)],
            'Operation 50 is not in its place: it was recorded as operation 51',
        ];
        yield 'one made up at the end' => [
            ["INSERT INTO operations SELECT number + 1, epoch, '01zzzzzzzzzzzzzzzzzzzzzzzz', kind, user_id, user_name, witness_id, base_epoch, base_number, begun_at, done_at, received_at, clock_checked_at, day, signed, note, key_id, hash, signed_because FROM operations ORDER BY number DESC LIMIT 1"],
            'something was added past its end',
        ];
        yield 'a kind that does not exist' => [["UPDATE operations SET kind = 'gift' WHERE number = 20"], 'of a kind that is not known'];
        yield 'another key' => [["UPDATE operations SET key_id = 'k9' WHERE number = 21"], 'under the key "k9"'];
        yield 'the head written over' => [["UPDATE ledger_head SET hash = REPEAT('a', 64)"], 'does not end as it was left'];
        yield 'a new epoch that nothing was restored for' => [['UPDATE ledger_head SET epoch = epoch + 1'], 'the head was rewritten'];
        yield 'a holding made up' => [
            ['UPDATE holdings SET quantity = quantity + 5 WHERE id = (SELECT n FROM (SELECT MIN(id) n FROM holdings) h)'],
            'kept as being there',
        ];
        yield 'a holding gone' => [['DELETE FROM holdings WHERE id = (SELECT n FROM (SELECT MIN(id) n FROM holdings) h)'], '0 kept as being there'];
        yield 'a later printed date' => [
            ["UPDATE lots SET expires = '2099-01', good_until = '2099-01-31' WHERE id = (SELECT lot_id FROM movements WHERE expires IS NOT NULL LIMIT 1)"],
            'is kept as expiring 2099-01',
        ];
        yield 'a lot given to another item' => [
            ["UPDATE lots SET item_id = (SELECT id FROM items WHERE code = 'shears') WHERE id = (SELECT lot_id FROM movements WHERE item_code <> 'shears' LIMIT 1)"],
            'was given to another item',
        ];
        yield 'a change of a kit that nobody made' => [
            ["INSERT INTO kit_changes (operation_number, position, kit_id, field, becomes) SELECT 999999, 0, id, 'scope', 'clinician' FROM kits LIMIT 1"],
            'kit_changes has rows of operation 999999, which is not there',
        ];
        yield 'a report taken away' => [['UPDATE kits SET open_reports = open_reports + 1 WHERE code = \'QH-01\''], 'Kit QH-01: 1 reports of use are kept as waiting'];
        yield 'a date that lasts longer than printed' => [
            ["UPDATE lots SET good_until = '2099-01-31' WHERE id = (SELECT lot_id FROM movements WHERE expires IS NOT NULL LIMIT 1)"],
            'is kept as in date until 2099-01-31',
        ];
        yield 'a check that never was' => [
            ["UPDATE kits SET last_full_on = '2001-01-01' WHERE code = 'QH-04'"],
            'Kit QH-04: last_full_on is kept as 2001-01-01',
        ];
        yield 'a seal made whole' => [
            ["UPDATE kits SET seal = 'intact', seal_number = 'S-1' WHERE code = 'QH-01'"],
            'Kit QH-01: seal is kept as intact',
        ];
        yield 'a kit somewhere else' => [
            ["UPDATE kits SET place_id = (SELECT id FROM places WHERE name = 'Saw shed') WHERE code = 'QH-01'"],
            'Kit QH-01: place_id',
        ];
        yield 'a kit for clinicians' => [["UPDATE kits SET scope = 'clinician' WHERE code = 'QH-01'"], 'Kit QH-01: scope is kept as clinician'];
        yield 'a use forgotten' => [['UPDATE kits SET used_on = NULL'], 'used_on is kept as nothing'];
        yield 'a signed assessment with other figures' => [
            ['UPDATE assessment_areas SET people = people + 1'], 'is not as it was when it was signed',
        ];
        yield 'a confirmed edition with another figure' => [
            ["UPDATE `lines` SET quantity = 9 WHERE list_id = (SELECT id FROM lists WHERE code = 'bleeding-set' AND edition = '1') AND quantity IS NOT NULL"],
            'is not as it was when it was confirmed',
        ];
        yield 'an edition confirmed behind the record' => [
            ["UPDATE lists SET confirmed_at = '2026-01-01 00:00:00' WHERE confirmed_at IS NULL LIMIT 1"],
            'is kept as confirmed, but nothing of that is on record',
        ];
    }

    /** @param  list<string>  $statements */
    #[DataProvider('tampering')]
    public function test_it_is_named(array $statements, string $says): void
    {
        $faults = $this->behindItsBack(function () use ($statements): array {
            $checkpoint = Checkpoint::of(Head::read(), now()->toDateString(), app(Keys::class));
            foreach ($statements as $statement) {
                DB::unprepared($statement);
            }

            return app(Verify::class)([$checkpoint])->faults;
        });
        $this->assertStringContainsString($says, implode(' ', $faults));
        $this->assertTrue(app(Verify::class)()->isWhole(), 'It is whole again after the test.');
    }

    public function test_a_dropped_or_changed_trigger_is_named_and_made_anew(): void
    {
        $owner = Triggers::owner();
        assert($owner !== null);
        // The tables are not changed while a transaction reads them.
        DB::rollBack();
        $triggers = app(Triggers::class);
        $this->assertSame([], $triggers->faults($owner));
        $owner->unprepared('DROP TRIGGER movements_no_update');
        $owner->unprepared('CREATE OR REPLACE TRIGGER checks_no_delete BEFORE DELETE ON checks FOR EACH ROW SET @nothing = 1');
        $owner->unprepared('CREATE TRIGGER let_through AFTER INSERT ON lots FOR EACH ROW SET @nothing = 1');
        $expected = [
            'The trigger checks_no_delete of checks is not the one that belongs there.',
            'The trigger movements_no_update is missing: the database does not refuse a change of movements by it.',
            "The trigger let_through of lots is none of this program's.",
        ];
        $this->artisan('ledger:verify')->expectsOutputToContain($expected[1])->assertFailed();
        $this->assertEqualsCanonicalizing($expected, $triggers->make($owner));
        $this->assertSame([[], []], [$triggers->make($owner), $triggers->faults($owner)]);
        DB::beginTransaction();
    }

    public function test_a_database_put_back_behind_the_application_is_named_by_the_file_outside_it(): void
    {
        $file = app(HeadFile::class);
        $this->assertNull($file->follow('2026-12-02'));
        $head = Head::read();
        $number = static fn (): ?int => app(HeadFile::class)->read()?->number;
        $this->assertSame($head->number, $number());
        $this->artisan('ledger:verify')->assertSuccessful();
        // A record ahead of the file is no fault: the file follows within a second.
        $this->artisan('ledger:follow', ['--once' => true])->assertSuccessful();
        foreach ([[$head->number + 1, str_repeat('a', 64)], [$head->number, str_repeat('b', 64)]] as [$ahead, $hash]) {
            file_put_contents($file->path(), json_encode(Checkpoint::of(new Head($head->epoch, $ahead, $hash), '2026-12-02', app(Keys::class))->document()));
            $this->artisan('ledger:verify')->assertFailed();
            $this->assertStringContainsString('put back or rewritten behind the application', (string) $file->follow('2026-12-02'));
            $this->assertSame($ahead, $number(), 'The file never goes back.');
        }
        // A head that claims an epoch of its own is not followed, and takes no older record past the file.
        DB::table('ledger_head')->update(['epoch' => $head->epoch + 1]);
        $this->assertStringContainsString('The head of the record was rewritten', (string) $file->follow('2026-12-02'));
        $this->assertSame($head->number, $number());
        DB::table('ledger_head')->update(['epoch' => $head->epoch]);
        // A restore begins a new epoch in the record itself: then the file follows that.
        file_put_contents($file->path(), json_encode(Checkpoint::of(new Head($head->epoch - 1, $head->number + 9, str_repeat('a', 64)), '2026-12-02', app(Keys::class))->document()));
        $this->assertNull($file->follow('2026-12-02'));
        $this->assertSame($head->number, $number());
        file_put_contents($file->path(), '{}');
        $this->artisan('ledger:verify')->assertExitCode(2);
        $file->remove();
    }

    public function test_who_serves_people_cannot_give_a_lot_to_another_item(): void
    {
        $this->expectExceptionMessage('command denied');
        DB::table('lots')->limit(1)->update(['item_id' => DB::table('items')->value('id')]);
    }

    public function test_one_put_in_between_with_the_rest_moved_up_is_named(): void
    {
        $last = Head::read()->number;
        $faults = $this->behindItsBack(function () use ($last): array {
            for ($number = $last; $number > $last - 3; $number--) {
                DB::unprepared(self::renumber($number, $number + 1));
            }
            $made = $last - 2;
            DB::unprepared("INSERT INTO operations SELECT {$made}, epoch, '01zzzzzzzzzzzzzzzzzzzzzzzz', 'change', user_id, user_name, witness_id, base_epoch, base_number, begun_at, done_at, received_at, clock_checked_at, day, signed, note, key_id, hash, signed_because FROM operations WHERE number = {$last}");
            DB::unprepared('UPDATE ledger_head SET number = number + 1');

            return app(Verify::class)()->faults;
        });
        $this->assertStringContainsString('Operation '.($last - 2).' was put in later', implode(' ', $faults));
        $this->assertStringContainsString(
            'Operation '.($last - 1).' is not in its place: it was recorded as operation '.($last - 2),
            implode(' ', $faults),
        );
    }

    public function test_a_record_computed_anew_by_who_has_the_key_is_named_by_a_checkpoint(): void
    {
        $faults = $this->behindItsBack(function (): array {
            $checkpoint = Checkpoint::of(Head::read(), now()->toDateString(), app(Keys::class));
            DB::unprepared("UPDATE checks SET verdict = 'ready' WHERE verdict <> 'ready'");
            $before = Head::beforeAll()->hash;
            foreach (app(ReadsRecord::class)->operations() as $operation) {
                $before = (string) app(Keys::class)->hash($operation->text('key_id'), Canonical::text($before, $operation->row, $operation->parts));
                DB::table('operations')->where('number', $operation->number)->update(['hash' => $before]);
            }
            DB::table('ledger_head')->update(['hash' => $before]);
            $this->assertSame([], app(Verify::class)()->faults, 'Without a checkpoint it looks whole.');

            return app(Verify::class)([$checkpoint])->faults;
        });
        $this->assertStringContainsString('the record was computed anew', implode(' ', $faults));
    }

    public function test_a_check_of_which_only_a_part_was_written_is_named(): void
    {
        $faults = $this->behindItsBack(function (): array {
            $number = (int) DB::table('movements')->join(
                'operations',
                'operations.number',
                '=',
                'movements.operation_number',
            )->where('kind', 'full_check')->min('operation_number');
            DB::table('movements')->where('operation_number', $number)->delete();

            return app(Verify::class)()->faults;
        });
        $this->assertStringContainsString(
            'says was on record after it is not what the movements say: only a part of it was written',
            implode(' ', $faults),
        );
    }

    public function test_what_is_kept_beside_the_record_is_made_anew_from_it(): void
    {
        $columns = ['whereabouts', 'kit_id', 'pocket_id', 'store_id', 'lot_id', 'condition', 'quantity'];
        $read = static fn (): array => [
            DB::table('holdings')->orderBy('whereabouts')->orderBy('lot_id')->orderBy('condition')->get($columns)->all(),
            DB::table('kits')->orderBy('id')->get(\App\Ledger\KitFacts::COLUMNS)->all(),
        ];
        $before = $read();
        DB::table('holdings')->where('id', DB::table('holdings')->min('id'))->delete();
        DB::table('holdings')->where('id', DB::table('holdings')->max('id'))->update(['quantity' => 77]);
        DB::table('kits')->where('code', 'QH-13')->update(['seal' => 'none', 'last_full_on' => null, 'name' => 'Another']);
        $this->artisan('ledger:verify --rebuild')->expectsOutputToContain('3 rows differed')->assertExitCode(1);
        $this->artisan('ledger:verify')->assertExitCode(0);
        $this->assertEquals($before, $read());
    }

    /**
     * As somebody with the owner's password and no scruples could: the triggers and foreign keys are lifted while it is done.
     *
     * @param  callable(): list<string>  $do
     * @return list<string>
     */
    private function behindItsBack(callable $do): array
    {
        DB::rollBack();
        $owner = DB::connection('owner');
        $runtime = DB::getDefaultConnection();
        $triggers = $owner->select('SHOW TRIGGERS');
        foreach ($triggers as $trigger) {
            $owner->unprepared("DROP TRIGGER {$trigger->Trigger}");
        }
        DB::setDefaultConnection('owner');
        try {
            DB::unprepared('SET FOREIGN_KEY_CHECKS = 0');
            DB::beginTransaction();
            $faults = $do();
            DB::rollBack();
            DB::unprepared('SET FOREIGN_KEY_CHECKS = 1');

            return $faults;
        } finally {
            DB::setDefaultConnection($runtime);
            foreach ($triggers as $trigger) {
                $owner->unprepared("CREATE TRIGGER {$trigger->Trigger} {$trigger->Timing} {$trigger->Event} ON `{$trigger->Table}` FOR EACH ROW {$trigger->Statement}");
            }
            DB::beginTransaction();
        }
    }

    private static function without(int|string $number): string
    {
        $statements = '';
        foreach (\App\Ledger\Part::cases() as $part) {
            $statements .= "DELETE FROM `{$part->value}` WHERE operation_number = {$number}; ";
        }

        return "{$statements} DELETE FROM operations WHERE number = {$number}";
    }

    private static function renumber(int $from, int $to): string
    {
        $statements = "UPDATE operations SET number = {$to} WHERE number = {$from}; ";
        foreach (\App\Ledger\Part::cases() as $part) {
            $statements .= "UPDATE `{$part->value}` SET operation_number = {$to} WHERE operation_number = {$from}; ";
        }

        return rtrim($statements, '; ');
    }
}
