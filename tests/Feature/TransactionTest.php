<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Head;
use App\Support\DoneAtTheSameMoment;
use App\Support\Http\ProblemResponse;
use App\Support\Transaction;
use App\Support\TransactionWasLost;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;
use Throwable;

/** What happens when the database ends an action before the application does, or does not answer at all. */
final class TransactionTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // These need the outermost transaction for themselves.
        DB::rollBack();
    }

    protected function tearDown(): void
    {
        DB::beginTransaction();
        parent::tearDown();
    }

    public function test_a_transaction_that_was_rolled_back_behind_its_back_never_goes_on(): void
    {
        $name = DB::table('organisations')->value('name');
        try {
            DB::transaction(function (): void {
                DB::table('organisations')->update(['name' => 'Before']);
                DB::getPdo()->exec('ROLLBACK');
                DB::table('organisations')->update(['name' => 'After']);
            });
            $this->fail('It went on.');
        } catch (TransactionWasLost) {
            $this->assertSame($name, DB::table('organisations')->value('name'), 'Nothing was written, neither before nor after.');
        }
    }

    public function test_nor_is_it_committed_where_the_error_was_caught_in_between(): void
    {
        $name = DB::table('organisations')->value('name');
        $other = $this->other();
        try {
            DB::transaction(function () use ($other): void {
                DB::table('organisations')->update(['name' => 'Mine']);
                $other->beginTransaction();
                $other->exec('UPDATE ledger_head SET number = number WHERE id = 1');
                DB::statement('SET SESSION innodb_lock_wait_timeout = 1');
                try {
                    Head::lock();
                } catch (QueryException) {
                    // Somebody swallows it: what comes next must not be committed as though nothing had happened.
                }
                DB::table('organisations')->update(['name' => 'Half']);
            });
            $this->fail('It went on.');
        } catch (TransactionWasLost) {
            $other->rollBack();
            $this->assertSame($name, DB::table('organisations')->value('name'));
        }
    }

    public function test_an_action_that_was_chosen_to_end_a_deadlock_is_done_again_as_a_whole(): void
    {
        $tries = 0;
        $name = DB::table('organisations')->value('name');
        $result = Transaction::run(function () use (&$tries): string {
            $tries++;
            DB::table('organisations')->update(['name' => "Try {$tries}"]);
            if ($tries < 3) {
                throw new PDOException(
                    'SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock; try restarting transaction',
                    40001,
                );
            }

            return (string) DB::table('organisations')->value('name');
        });
        DB::table('organisations')->update(['name' => $name]);
        $this->assertSame([3, 'Try 3'], [$tries, $result]);
    }

    public function test_what_was_done_at_the_same_moment_is_looked_at_anew(): void
    {
        $tries = 0;
        $this->assertSame('found', Transaction::run(function () use (&$tries): string {
            return ++$tries === 1 ? throw new DoneAtTheSameMoment : 'found';
        }));
        $this->expectException(DoneAtTheSameMoment::class);
        Transaction::run(fn (): never => throw new DoneAtTheSameMoment);
    }

    /** @return iterable<string, array{int, string}> */
    public static function troubles(): iterable
    {
        yield 'it is gone' => [2006, 'MySQL server has gone away'];
        yield 'it lost the connection' => [2013, 'Lost connection to server during query'];
        yield 'it refuses' => [2002, 'Connection refused'];
        yield 'too many are connected' => [1040, 'Too many connections'];
        yield 'it is read only' => [1290, 'The MariaDB server is running with the --read-only option so it cannot execute this statement'];
        yield 'its disk is full' => [1114, "The table 'movements' is full"];
        yield 'others held it too long' => [1205, 'Lock wait timeout exceeded; try restarting transaction'];
    }

    #[DataProvider('troubles')]
    public function test_a_database_that_does_not_answer_is_503_and_nothing_is_claimed_that_is_not_known(int $code, string $message): void
    {
        $error = new PDOException("SQLSTATE[HY000]: General error: {$code} {$message}");
        $error->errorInfo = ['HY000', $code, $message];
        $error = new QueryException('mariadb', 'select 1', [], $error);
        $write = $this->answer('PUT', $error)->assertStatus(503)->assertHeader('Retry-After')->assertHeader('Content-Type', 'application/problem+json')->json();
        $this->assertStringContainsString('It is not known whether this was recorded', $write['detail']);
        $this->assertSame($code === 1114, str_contains($write['title'], 'disk of the server is full'));
        $this->assertStringNotContainsString('Nothing was recorded', (string) json_encode($write));
        $this->assertStringNotContainsString('was recorded', $this->answer('GET', $error)->assertStatus(503)->json('detail'));
    }

    public function test_another_fault_claims_nothing_either(): void
    {
        $answer = $this->answer('PUT', new RuntimeException('A part is broken'))->assertStatus(500)->json();
        $this->assertStringContainsString('It is not known', $answer['detail']);
        $this->assertStringNotContainsString('A part is broken', (string) json_encode($answer));
    }

    /** @return TestResponse<\Illuminate\Http\JsonResponse> */
    private function answer(string $method, Throwable $error): TestResponse
    {
        return TestResponse::fromBaseResponse(ProblemResponse::for($error, Request::create('/api/checks/1', $method)) ?? $this->fail('No answer.'));
    }

    private function other(): \PDO
    {
        /** @var array{host: string, port: string, database: string, username: string, password: string} $about */
        $about = config('database.connections.mariadb');

        return new \PDO(
            "mysql:host={$about['host']};port={$about['port']};dbname={$about['database']}",
            $about['username'],
            $about['password'],
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
    }
}
