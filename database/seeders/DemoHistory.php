<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\Models\User;
use App\Checks\CheckReport;
use App\Checks\CountedRow;
use App\Checks\FinishCheck;
use App\Checks\ModuleAtCheck;
use App\Judging\ContentRow;
use App\Judging\KitContents;
use App\Judging\KitJudge;
use App\Judging\KitStates;
use App\Kits\EquipKit;
use App\Kits\Models\Kit;
use App\Kits\MoveModule;
use App\Kits\NewKitReport;
use App\Ledger\Base;
use App\Ledger\Head;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\Receipt;
use App\Ledger\Record;
use App\Ledger\WhenDone;
use App\Stock\Lots;
use App\Stock\Models\Store;
use App\Stock\PlannedIn;
use App\Stock\PlannedOut;
use App\Stock\PlanRestock;
use App\Stock\PutIn;
use App\Stock\RestockKit;
use App\Stock\RestockReport;
use App\Stock\TakenOut;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Due\Seal;

/** Nine months of deliveries, checks, uses and restocks, through the same actions that the application uses. */
final class DemoHistory
{
    /** Where goods go, and kits are restocked from, unless the demo says otherwise. */
    private const STORE = 'cupboard';

    private const PACKED_DAYS_AGO = 272;

    /** @var array<string, User> */
    private array $people;

    /** @var array<string, Store> by key */
    private array $stores = [];

    /** @var array<string, Kit> */
    private array $kits;

    private ?CarbonImmutable $packedAt = null;

    /** @var array<string, string> lot ids by item and number */
    private array $lots = [];

    /** @var array<string, string>|null ids by design, leaf and pocket */
    private ?array $pockets = null;

    public function __construct(
        private readonly Record $record,
        private readonly FinishCheck $finishCheck,
        private readonly PlanRestock $planRestock,
        private readonly RestockKit $restockKit,
        private readonly EquipKit $equip,
        private readonly MoveModule $modules,
        private readonly KitJudge $judge,
        private readonly KitContents $contents,
        private readonly KitStates $states,
    ) {
    }

    public function makeLots(DemoFiles $files, Lots $lots): void
    {
        $items = DB::table('items')->pluck('id', 'code')->all();
        foreach ($files->rows('lots') as $row) {
            $this->lots["{$row['item']} {$row['lot']}"] = $lots->make($items[$row['item']], $row['lot'], $files->printed($row['expires']));
        }
    }

    public function equip(DemoFiles $files, NewKitReport $report, User $by): Kit
    {
        $this->packedAt = ($this->packedAt ?? $files->today->subDays(self::PACKED_DAYS_AGO)->setTime(10, 0))->addMinutes(20);

        return ($this->equip)(
            $report,
            $by,
            $this->packedAt,
            $this->packedAt->toDateString(),
            null,
            fn (Kit $kit): array => $this->packing($files, $kit),
        );
    }

    public function putIn(Kit $module, Kit $kit, User $by): void
    {
        $at = $this->packedAt = ($this->packedAt ?? throw new LogicException('Nothing is packed yet.'))->addMinutes(5);
        $this->modules->putIn($module, $kit, $by, $at, $at->toDateString());
    }

    /**
     * @param  array<string, User>  $people
     * @param  array<string, Store>  $stores
     * @param  array<string, Kit>  $kits
     */
    public function load(DemoFiles $files, array $people, array $stores, array $kits): void
    {
        [$this->people, $this->stores, $this->kits] = [$people, $stores, $kits];
        $happenings = [];
        foreach ($files->rows('deliveries') as $row) {
            $happenings[(int) $row['days_ago']]['deliveries'][] = $row;
        }
        foreach ($files->rows('happenings') as $row) {
            $happenings[(int) $row['days_ago']]['kits'][$row['kit']][] = $row;
        }
        krsort($happenings);
        foreach ($happenings as $daysAgo => $today) {
            $day = $files->today->subDays($daysAgo);
            $this->deliver($today['deliveries'] ?? [], $day);
            $minutes = 0;
            foreach ($today['kits'] ?? [] as $code => $rows) {
                $this->happen($this->kits[$code], $rows, $day->setTime(8, 10)->addMinutes($minutes += 35));
            }
        }
        // The maker called this lot back: its pieces count nowhere.
        DB::table('lots')->where('id', $this->lots['windlass-tourniquet R4410'])
            ->update(['recalled_on' => $files->today->toDateString(), 'recalled_because' => 'Recall notice: the strap may slip']);
        foreach (Kit::byThemselves()->get() as $kit) {
            $this->states->renew($kit, $files->today->toDateString());
        }
    }

    /** @return list<LotMovement> */
    private function packing(DemoFiles $files, Kit $kit): array
    {
        if ($this->pockets === null) {
            $this->pockets = [];
            foreach (DB::table('compartments')->join('compartments as leaves', fn ($join) => $join->on('leaves.pocket_id', '=', 'compartments.parent_id')
                ->whereColumn('leaves.design_edition_id', 'compartments.design_edition_id'))->get([
                    'compartments.pocket_id', 'compartments.name', 'leaves.name as leaf', 'compartments.design_edition_id',
                ]) as $pocket) {
                $this->pockets["{$pocket->design_edition_id} {$pocket->leaf} {$pocket->name}"] = $pocket->pocket_id;
            }
        }
        $movements = [];
        foreach ($files->rows('packing') as $row) {
            if ($row['kit'] === $kit->code) {
                $pocket = $this->pockets["{$kit->design_edition_id} {$row['leaf']} {$row['pocket']}"];
                $movements[] = new LotMovement(
                    $this->lots["{$row['item']} {$row['lot']}"],
                    (int) $row['quantity'],
                    null,
                    Location::pocket($kit->id, $pocket),
                    'received',
                );
            }
        }

        return $movements;
    }

    /** @param  list<array<string, string>>  $rows */
    private function deliver(array $rows, CarbonImmutable $day): void
    {
        if ($rows === []) {
            return;
        }
        $at = $day->setTime(7, 30);
        foreach (collect($rows)->groupBy(static fn (array $row): string => $row['store'] === '' ? self::STORE : $row['store']) as $key => $some) {
            $store = $this->stores[$key];
            $movements = $some->map(fn (array $row): LotMovement => new LotMovement(
                $this->lots["{$row['item']} {$row['lot']}"],
                (int) $row['quantity'],
                null,
                Location::store($store->id),
                'received',
            ))->all();
            $id = Str::lower((string) Str::ulid($at));
            $operation = Operation::now($id, OperationKind::Receive, $this->people['lead'], $at, $at->toDateString());
            $note = 'HM-'.$at->format('ymd').($store->name === $this->stores[self::STORE]->name ? '' : '-2');
            $receipts = array_map(
                static fn (LotMovement $one): Receipt => new Receipt($one->lotId, null, null, null, 'Harbour Medical Supplies', $note),
                array_values($movements),
            );
            Transaction::run(fn (): int => $this->record->write($operation->of([], [$store])->with(array_values($movements), $receipts)));
        }
    }

    /** @param  list<array<string, string>>  $rows  of one kit on one day */
    private function happen(Kit $kit, array $rows, CarbonImmutable $at): void
    {
        $found = [];
        foreach ($rows as $row) {
            $kit->refresh();
            $by = $this->people[$row['by']];
            match ($row['what']) {
                'find' => $found[] = $row,
                'use' => $this->use($kit, $row, $by, $at),
                'restock' => $this->restock($kit, $by, $at->addHours(2)),
                'dispute' => $this->dispute($kit, $row, $by, $at),
                default => $this->check($kit, $row['details'] ?: null, $found, $by, $at->addHour()),
            };
        }
    }

    /** @param  array<string, string>  $row */
    private function use(Kit $kit, array $row, User $by, CarbonImmutable $at): void
    {
        $movements = [];
        foreach (explode(';', $row['details']) as $part) {
            [$item, $quantity] = explode('=', $part);
            $left = (int) $quantity;
            foreach ($this->contents->of($kit) as $held) {
                $taken = $held->itemCode === $item && $held->condition === 'good' ? min($left, $held->quantity) : 0;
                if ($taken > 0) {
                    $movements[] = new LotMovement((string) $held->lotId, $taken, Location::pocket($kit->id, $held->pocketId), null, 'used');
                    $left -= $taken;
                }
            }
        }
        $operation = Operation::now(Str::lower((string) Str::ulid($at)), OperationKind::Use, $by, $at, $at->toDateString());
        Transaction::run(fn (): int => $this->record->write($operation->of(Kit::query()->with(['place', 'modules.place'])->findOrFail($kit->id)->whole())->with($movements)));
    }

    private function restock(Kit $kit, User $by, CarbonImmutable $at): void
    {
        $day = $at->toDateString();
        $plan = ($this->planRestock)($this->judge->judge($kit, $day), $this->stores[self::STORE]);
        // Whoever restocked then left what was more than asked for.
        $out = array_values(array_filter($plan->out(), static fn (PlannedOut $row): bool => $row->because !== FindingKind::Surplus));
        if ($out === [] && $plan->in() === []) {
            return;
        }
        ($this->restockKit)(new RestockReport(
            Str::lower((string) Str::ulid($at)), $kit->id, $this->stores[self::STORE]->id, WhenDone::now($at), Head::read()->base(),
            array_map(
                static fn (PlannedOut $row): TakenOut => new TakenOut($row->pocketId, $row->lotId, $row->condition, $row->quantity, $row->toStore),
                $out,
            ),
            array_map(static fn (PlannedIn $row): PutIn => new PutIn((string) $row->pocketId, $row->lotId, $row->quantity), $plan->in()),
            'Restocked',
        ), $by);
    }

    /** @param  list<array<string, string>>  $found  what the check found in another condition than recorded */
    private function check(Kit $kit, ?string $seal, array $found, User $by, CarbonImmutable $at, ?Base $base = null): void
    {
        $kit = Kit::query()->with('modules')->findOrFail($kit->id);
        // Whoever checks the kit relies on the whole seals of what is in it.
        $closed = $kit->modules->filter(static fn (Kit $module): bool => $module->seal === Seal::Intact);
        $isOpen = static fn (ContentRow $row): bool => $closed->doesntContain('id', strstr($row->pocketId, '.', true));
        $rows = array_map(
            static fn (ContentRow $row): CountedRow => new CountedRow(
                $row->pocketId,
                $row->itemCode,
                $row->lot,
                $row->expires,
                $row->quantity,
                $row->condition,
            ),
            array_values(array_filter($this->contents->of($kit), $isOpen)),
        );
        foreach ($found as $finding) {
            [$what, $quantity] = explode('=', $finding['details']);
            [$item, $condition] = explode(':', $what);
            $rows = $condition === 'added' ? [...$rows, $this->found($kit, $item, (int) $quantity)] : self::turn($rows, $item, self::asOf($condition, $at), (int) $quantity);
        }
        ($this->finishCheck)(new CheckReport(
            Str::lower((string) Str::ulid($at)), $kit->id, 'full', new WhenDone($at->subMinutes(12), $at, $base === null ? $at : $at->addHours(3), $base === null ? $at : null),
            $base ?? Head::read()->base(), $rows, $by->name, null, $seal,
            $kit->seal === Seal::Intact ? 'Planned full check' : null, self::noteOf($found), null,
            array_values($closed->map(static fn (Kit $module): ModuleAtCheck => new ModuleAtCheck($module->code, true, null, $module->seal_number))->all()),
        ), $by);
    }

    /**
     * Two people look at about the same time, neither knows of the other, and the clock of the second is in doubt.
     *
     * @param  array<string, string>  $row  what the second does not find
     */
    private function dispute(Kit $kit, array $row, User $by, CarbonImmutable $at): void
    {
        $base = Head::read()->base();
        $this->check($kit, null, [], $by, $at->addHour());
        $this->check($kit, null, [$row], $this->people['lead'], $at->addHour(), $base);
    }

    private function found(Kit $kit, string $item, int $pieces): CountedRow
    {
        $lot = substr(array_keys(array_filter($this->lots, static fn (string $key): bool => str_starts_with($key, "{$item} "), ARRAY_FILTER_USE_KEY))[0], strlen($item) + 1);

        return new CountedRow($this->contents->of($kit)[0]->pocketId, $item, $lot, null, $pieces, 'good');
    }

    /** @param  list<array<string, string>>  $found */
    private static function noteOf(array $found): ?string
    {
        $notes = array_filter(array_column($found, 'note'), static fn (string $note): bool => $note !== '');

        return $notes === [] ? null : implode('. ', $notes).'.';
    }

    /** "opened@33": opened so many days before. */
    private static function asOf(string $condition, CarbonImmutable $at): string
    {
        $parts = explode('@', $condition);

        return isset($parts[1]) ? "{$parts[0]} {$at->subDays((int) $parts[1])->toDateString()}" : $condition;
    }

    /**
     * @param  list<CountedRow>  $rows
     * @return list<CountedRow>
     */
    private static function turn(array $rows, string $item, string $condition, int $quantity): array
    {
        $turned = [];
        foreach ($rows as $row) {
            $pieces = $row->itemCode === $item && $row->condition === 'good' ? min($quantity, $row->quantity) : 0;
            $quantity -= $pieces;
            if ($row->quantity > $pieces) {
                $turned[] = new CountedRow($row->pocketId, $row->itemCode, $row->lot, $row->expires, $row->quantity - $pieces, $row->condition);
            }
            if ($pieces > 0 && $condition !== 'gone') {
                $turned[] = new CountedRow($row->pocketId, $row->itemCode, $row->lot, $row->expires, $pieces, $condition);
            }
        }

        return $turned;
    }
}
