<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the database itself refuses, whatever the application would let through. */
final class ConstraintTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, string}> table, what one of its rows becomes, what refuses it */
    public static function refused(): iterable
    {
        yield 'a movement of nothing' => ['movements', ['quantity' => 0], 'movements_some'];
        yield 'a movement from a place without a condition' => ['movements', ['from_condition' => null], 'movements_from'];
        yield 'a movement to no place in a condition' => [
            'movements', ['to_condition' => 'good', 'to_pocket_id' => null, 'to_store_id' => null], 'movements_to',
        ];
        yield 'a movement by no operation' => ['movements', ['operation_number' => 4_000_000], 'foreign key'];
        yield 'a movement in a condition that is none' => ['movements', ['from_condition' => 'fair'], 'from_condition'];
        yield 'a seal broken for no reason' => ['seals', ['event' => 'broken', 'reason' => null], 'seals_broken_with_reason'];
        yield 'a line of no list and no design' => ['lines', ['list_id' => null, 'design_edition_id' => null], 'lines_one_owner'];
        yield 'a line that asks for nothing' => ['lines', ['quantity' => null, 'total_quantity' => null], 'lines_one_amount'];
        yield 'an entry of no item and no class' => ['line_entries', ['item_id' => null, 'class' => null], 'line_entries_one'];
        yield 'two kits of one code' => ['kits', ['id' => '01jzzzzzzzzzzzzzzzzzzzzzzz'], 'Duplicate'];
        yield 'one operation twice' => ['operations', ['number' => 4_000_000], 'Duplicate'];
        yield 'fewer than no pieces' => ['holdings', ['quantity' => -1], 'quantity'];
        yield 'pieces of a lot that is not known' => ['holdings', ['lot_id' => '01jzzzzzzzzzzzzzzzzzzzzzzz'], 'foreign key'];
    }

    /** @param  array<string, mixed>  $becomes */
    #[DataProvider('refused')]
    public function test_it_is_refused(string $table, array $becomes, string $by): void
    {
        $row = $this->anyOf($table, $becomes);
        try {
            DB::table($table)->insert($row);
            $this->fail('It was let in.');
        } catch (QueryException $refused) {
            $this->assertStringContainsStringIgnoringCase($by, $refused->getMessage());
        }
    }

    /**
     * A row as there is one, with what is to be refused in it.
     *
     * @param  array<string, mixed>  $becomes
     * @return array<string, mixed>
     */
    private function anyOf(string $table, array $becomes): array
    {
        $query = DB::table($table);
        if ($table === 'movements') {
            $query->whereNotNull('from_pocket_id')->whereNull('to_pocket_id');
        }
        $row = (array) $query->first();
        $this->assertNotSame([], $row, "The demo has no row of {$table}.");
        $fresh = match ($table) {
            'movements', 'seals' => ['position' => 60_000],
            'lines' => ['id' => '01jzzzzzzzzzzzzzzzzzzzzzzz', 'code' => 'L999'],
            'line_entries', 'holdings' => ['id' => null],
            default => [],
        };

        return [...$row, ...$fresh, ...$becomes];
    }
}
