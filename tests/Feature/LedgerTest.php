<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Audit;
use App\Ledger\Entry;
use App\Ledger\Ledger;
use App\Ledger\NotThere;
use App\Ledger\Spot;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A changed or removed record is found, and the database itself refuses to change one. */
final class LedgerTest extends TestCase
{
    public function test_the_demo_data_is_whole(): void
    {
        $this->artisan('ledger:verify')->expectsOutputToContain('The ledger is whole')->assertExitCode(0);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        foreach (['movements', 'checks', 'check_rows', 'check_lines', 'check_findings'] as $table) {
            yield "a change in {$table}" => ["UPDATE `{$table}` SET ".match ($table) {
                'movements' => 'quantity = 1', 'checks' => "signed = 'Nobody'", 'check_rows' => 'counted = 1', 'check_lines' => "short = '0'", 'check_findings' => "text = ''",
            }, $table];
            yield "a removal from {$table}" => ["DELETE FROM `{$table}`", $table];
        }
    }

    #[DataProvider('refused')]
    public function test_the_database_refuses(string $statement, string $table): void
    {
        $this->expectException(QueryException::class);
        $this->expectExceptionMessage("What was recorded in {$table} is never changed");
        DB::statement($statement);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function tampering(): iterable
    {
        yield 'a changed movement' => [['UPDATE movements SET quantity = quantity + 1 WHERE number = 40'], 'Movement 40 is not as it was written'];
        yield 'a movement by somebody else' => [["UPDATE movements SET reason = 'used' WHERE number = 41"], 'Movement 41 is not as it was written'];
        yield 'a removed movement' => [['DELETE FROM movements WHERE number = 40'], 'Movement 40 is missing'];
        yield 'the last movement removed' => [['DELETE FROM movements ORDER BY number DESC LIMIT 1'], 'rows were removed at the end'];
        yield 'a changed verdict' => [["UPDATE checks SET verdict = 'ready' WHERE number = (SELECT MIN(number) FROM (SELECT number, verdict FROM checks) c WHERE verdict <> 'ready')"], 'is not as it was signed'];
        yield 'a changed count' => [['UPDATE check_rows SET counted = counted + 1 WHERE check_number = 7 AND position = 0'], 'Check 7 is not as it was signed'];
        yield 'a removed finding' => [['DELETE FROM check_findings WHERE id = (SELECT MIN(id) FROM (SELECT id FROM check_findings) f)'], 'is not as it was signed'];
        yield 'a removed check' => [['DELETE FROM check_findings WHERE check_number = 9', 'DELETE FROM check_lines WHERE check_number = 9', 'DELETE FROM check_rows WHERE check_number = 9', 'SET FOREIGN_KEY_CHECKS = 0', 'DELETE FROM checks WHERE number = 9', 'SET FOREIGN_KEY_CHECKS = 1'], 'Check 9 is missing'];
        yield 'a holding made up' => [['UPDATE holdings SET quantity = quantity + 5 WHERE id = (SELECT MIN(id) FROM (SELECT id FROM holdings) h)'], 'recorded as lying there'];
    }

    /** @param  list<string>  $statements */
    #[DataProvider('tampering')]
    public function test_it_is_found(array $statements, string $says): void
    {
        $this->withoutTriggers(function () use ($statements, $says): void {
            DB::beginTransaction();
            foreach ($statements as $statement) {
                DB::statement($statement);
            }
            $faults = implode(' ', app(Audit::class)->faults());
            DB::rollBack();
            $this->assertStringContainsString($says, $faults);
        });
        $this->assertSame([], app(Audit::class)->faults());
    }

    public function test_what_lies_where_is_made_anew_from_the_ledger(): void
    {
        $before = DB::table('holdings')->orderBy('whereabouts')->orderBy('lot_id')->orderBy('condition')->get(['whereabouts', 'kit_id', 'pocket_id', 'store_id', 'lot_id', 'condition', 'quantity'])->all();
        DB::table('holdings')->where('id', DB::table('holdings')->min('id'))->delete();
        DB::table('holdings')->where('id', DB::table('holdings')->max('id'))->update(['quantity' => 77]);
        $this->artisan('ledger:verify --rebuild')->expectsOutputToContain('2 rows differed')->assertExitCode(1);
        $this->artisan('ledger:verify')->assertExitCode(0);
        $after = DB::table('holdings')->orderBy('whereabouts')->orderBy('lot_id')->orderBy('condition')->get(['whereabouts', 'kit_id', 'pocket_id', 'store_id', 'lot_id', 'condition', 'quantity'])->all();
        $this->assertEquals($before, $after);
    }

    public function test_no_more_is_taken_than_lies_there_and_capitals_mean_the_same_place(): void
    {
        $held = DB::table('holdings')->whereNotNull('store_id')->first() ?? $this->fail('The store is empty.');
        $ledger = app(Ledger::class);
        $ledger->record([new Entry(strtoupper($held->lot_id), 1, Spot::store(strtoupper($held->store_id)), null, 'discarded')], $this->person('lead'), now());
        $this->assertSame($held->quantity - 1, (int) DB::table('holdings')->where('id', $held->id)->value('quantity') ?: 0);
        $this->assertSame([], app(Audit::class)->faults());
        $this->expectException(NotThere::class);
        $ledger->record([new Entry($held->lot_id, $held->quantity, Spot::store($held->store_id), null, 'discarded')], $this->person('lead'), now());
    }

    /** The database's own guard is lifted for one test, as somebody with its root password could. */
    private function withoutTriggers(callable $then): void
    {
        $triggers = DB::select('SHOW TRIGGERS');
        DB::rollBack();
        foreach ($triggers as $trigger) {
            DB::unprepared("DROP TRIGGER {$trigger->Trigger}");
        }
        try {
            $then();
        } finally {
            foreach ($triggers as $trigger) {
                DB::unprepared("CREATE TRIGGER {$trigger->Trigger} {$trigger->Timing} {$trigger->Event} ON `{$trigger->Table}` FOR EACH ROW {$trigger->Statement}");
            }
            DB::beginTransaction();
        }
    }
}
