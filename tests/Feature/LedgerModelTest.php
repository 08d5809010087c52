<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** The record beside a model of it that is as plain as can be: pieces by place, lot and condition, moved by chance. */
final class LedgerModelTest extends TestCase
{
    private const OPERATIONS = 80;

    private const KITS = ['QH-01', 'QH-08', 'QH-13'];

    /** @var array<string, int> pieces by whereabouts, lot and condition */
    private array $model = [];

    private Randomizer $random;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(now()->setTime(12, 0));
        $this->random = new Randomizer(new Mt19937(7));
        $this->model = $this->holdings();
        $this->actAs('keeper');
    }

    public function test_whatever_is_done_in_whatever_order_the_record_adds_up(): void
    {
        $refused = $checked = 0;
        for ($number = 0; $number < self::OPERATIONS; $number++) {
            if ($this->random->getInt(1, 8) === 1) {
                $this->check();
                $checked++;
            } else {
                $refused += $this->move($number) ? 0 : 1;
            }
            $this->assertSame($this->model, $this->holdings(), "After operation {$number}.");
        }
        $this->assertGreaterThan(5, $checked);
        $this->assertGreaterThan(5, $refused, 'More was asked for than is there, and refused.');
        $this->assertSame([], app(Verify::class)()->faults);
        $this->artisan('ledger:verify --rebuild')->expectsOutputToContain('0 rows differed')->assertExitCode(0);
        $this->assertSame($this->model, $this->holdings(), 'Made anew from the record it is what it was.');
    }

    /** A full check that finds each row as it is, or with a piece more or fewer. */
    private function check(): void
    {
        $code = $this->random->pickArrayKeys(array_flip(self::KITS), 1)[0];
        $kit = $this->readKit((string) $code);
        $check = ['begun_at' => now()->toIso8601ZuluString()] + $this->asRecorded($kit);
        foreach ($kit['contents'] as $index => $row) {
            $found = max(0, $row['quantity'] + $this->random->getInt(-1, 1));
            $check['rows'][$index]['quantity'] = $found;
            $this->add(
                Location::pocket($kit['id'], $row['pocket_id'], $row['condition'])->whereabouts()." {$row['lot_id']} {$row['condition']}",
                $found - $row['quantity'],
            );
        }
        $this->finish($check + ($kit['sealed_design'] ? [
            'seal_reason' => 'Planned full check', 'seal_set' => 'S-'.$this->random->getInt(1, 9999),
        ] : []))->assertOk();
        $this->travel(1)->minutes();
    }

    /** @return bool whether it was recorded; what is not there cannot be moved */
    private function move(int $number): bool
    {
        $kit = Kit::locked($this->kit((string) $this->random->pickArrayKeys(array_flip(self::KITS), 1)[0])->id);
        $held = $kit->holdings()->orderBy('id')->get();
        if ($held->isEmpty()) {
            return true;
        }
        $row = $held[$this->random->getInt(0, $held->count() - 1)];
        $pieces = $this->random->getInt(1, 4);
        $pocket = Location::pocket($kit->id, (string) $row->pocket_id, $row->condition);
        $shelf = Location::store($this->store()->id, $row->condition);
        $stores = [$this->store()];
        [$kind, $from, $to, $reason, $kits, $stores] = match ($this->random->getInt(0, 5)) {
            0 => [OperationKind::Receive, null, $shelf, 'received', [], $stores],
            1 => [OperationKind::Transfer, $shelf, $pocket, 'transferred', [$kit], $stores],
            2 => [OperationKind::Use, $pocket, null, 'used', [$kit], []],
            3 => [OperationKind::Restock, $pocket, $shelf, 'returned', [$kit], $stores],
            4 => [OperationKind::Dispose, $shelf, null, 'discarded', [], $stores],
            default => [OperationKind::Restock, $shelf, $pocket, 'restocked', [$kit], $stores],
        };
        $before = $this->model;
        try {
            DB::transaction(fn () => app(Record::class)->write(
                Operation::now(
                    $this->ulid(),
                    $kind,
                    $this->person('lead'),
                    now(),
                    now()->toDateString(),
                )->of($kits, $stores)->with([new LotMovement($row->lot_id, $pieces, $from, $to, $reason)]),
            ));
        } catch (PiecesAreNotThere) {
            $key = $from === null ? '' : "{$from->whereabouts()} {$row->lot_id} {$from->condition}";
            $this->assertLessThan($pieces, $before[$key] ?? 0, "Operation {$number} was refused though its pieces are there.");

            return false;
        }
        foreach ([[$from, -1], [$to, 1]] as [$location, $sign]) {
            if ($location !== null) {
                $this->add("{$location->whereabouts()} {$row->lot_id} {$location->condition}", $sign * $pieces);
            }
        }

        return true;
    }

    private function add(string $key, int $pieces): void
    {
        $this->model[$key] = ($this->model[$key] ?? 0) + $pieces;
        $this->assertGreaterThanOrEqual(0, $this->model[$key]);
        $this->model = array_filter($this->model);
        ksort($this->model);
    }

    /** @return array<string, int> */
    private function holdings(): array
    {
        $holdings = [];
        foreach (DB::table('holdings')->where('quantity', '>', 0)->get() as $row) {
            $holdings["{$row->whereabouts} {$row->lot_id} {$row->condition}"] = (int) $row->quantity;
        }
        ksort($holdings);

        return $holdings;
    }
}
