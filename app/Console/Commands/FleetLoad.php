<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Console\Fleet\BulkRecord;
use App\Console\Fleet\FleetKit;
use App\Console\Fleet\Sheets;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Ledger\Head;
use App\Ledger\Keys;
use App\Ledger\OperationKind;
use App\Stock\LotKey;
use App\Stock\Models\Store;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Writes a fleet with years of history as files that the database loads in bulk, chain included; never for an instance that serves people.
 * Each kit is equipped, restocked and used in turn, and checked at the end. It prints the file of each phase as soon as it is written.
 *
 * @phpstan-import-type Held from FleetKit
 */
final class FleetLoad extends Command
{
    private const ROWS = 10;

    private const DAYS = 300;

    protected $signature = 'fleet:load {kits} {movements} {directory}';

    protected $description = 'Writes a fleet for bin/sarcina bench as files to be loaded in bulk';

    private Sheets $sheets;

    private BulkRecord $record;

    private CarbonImmutable $at;

    private int $step;

    public function handle(Keys $keys, KitPlans $plans): int
    {
        if (config('app.env') === 'production') {
            $this->error('This is for measuring only, in an instance of its own: use bin/sarcina bench --fleet.');

            return self::FAILURE;
        }
        ini_set('memory_limit', '8G');
        $by = User::query()->where('role', 'lead')->firstOrFail();
        $store = Store::query()->orderBy('id')->firstOrFail();
        $directory = $this->argument('directory');
        $this->sheets = new Sheets(is_string($directory) ? $directory : '.');
        $this->record = new BulkRecord($keys, $this->sheets, Head::read(), $by->id, $by->name);
        $this->sheets->begin('00-kits');
        $kits = $this->kits((int) $this->argument('kits'), $plans);
        $cycles = $this->cycles($kits);
        $this->pace(count($kits) * (2 + 3 * $cycles));
        $this->say();
        $this->sheets->begin('01-equip');
        foreach ($kits as $kit) {
            $this->equip($kit);
        }
        $this->say();
        for ($cycle = 1; $cycle <= $cycles; $cycle++) {
            $this->sheets->begin(sprintf('02-cycle-%03d', $cycle));
            foreach ($kits as $kit) {
                $this->cycle($kit, $store);
            }
            $this->say();
        }
        $this->sheets->begin('03-check');
        foreach ($kits as $kit) {
            $this->check($kit);
        }
        foreach ($kits as $kit) {
            $this->kit($kit);
        }
        $this->say([$this->record->head(), 'UPDATE judging_version SET version = version + 1;']);
        fwrite(STDERR, count($kits)." kits and {$this->record->movements} movements written.\n");

        return self::SUCCESS;
    }

    /** @param  list<string>  $after */
    private function say(array $after = []): void
    {
        $this->line($this->sheets->end($after));
    }

    /** So that the record goes up to now, in the order of its numbers. */
    private function pace(int $operations): void
    {
        $this->at = CarbonImmutable::now('UTC')->subMinutes(5);
        $last = Head::read()->number === 0 ? null : DB::table('operations')->max('done_at');
        $from = is_string($last) ? CarbonImmutable::parse($last, 'UTC') : $this->at->subDays(self::DAYS);
        $this->step = max(0, intdiv((int) $from->diffInSeconds($this->at) * 1_000_000, max(1, $operations)));
        $this->at = $from;
    }

    private function next(): CarbonImmutable
    {
        return $this->at = $this->at->addMicroseconds($this->step);
    }

    /** @return list<FleetKit> */
    private function kits(int $wanted, KitPlans $plans): array
    {
        $models = array_values(Kit::byThemselves()->whereDoesntHave('modules')->with('holdings.lot.item')->orderBy('code')->get()->all());
        $order = (int) Place::query()->max('walk_order');
        $site = Place::query()->whereNull('parent_id')->orderBy('id')->firstOrFail();
        $kits = [];
        $place = ['id' => '', 'path' => ''];
        for ($number = Kit::query()->count(); $number < $wanted; $number++) {
            if (count($kits) % 6 === 0) {
                $place = [
                    'id' => strtolower((string) Str::ulid()),
                    'parent_id' => $site->id, 'kind' => 'spot', 'name' => "Spot {$number}", 'path' => "Fleet, spot {$number}",
                    'walk_order' => $order += 10,
                ];
                $this->sheets->add('places', $place);
            }
            $model = $models[$number % count($models)];
            $plan = $plans->of($model->design_edition_id);
            $contents = [];
            foreach ($model->holdings as $index => $held) {
                $lot = strtolower((string) Str::ulid());
                $printed = $held->lot->expires;
                $name = "F{$number}-{$index}";
                $this->sheets->add('lots', [
                    'id' => $lot, 'item_id' => $held->lot->item_id, 'number' => $name, 'expires' => $printed, 'good_until' => $held->lot->good_until,
                    ...array_diff_key(LotKey::of($held->lot->item_id, $name, $printed)->columns(), ['item_id' => 0]),
                ]);
                $contents[] = [
                    'row' => [
                        'lot_id' => $lot, 'item_code' => $held->lot->item->code, 'item_name' => $held->lot->item->name, 'lot_number' => $name,
                        'expires' => $printed,
                    ],
                    'pocket' => (string) $held->pocket_id,
                    'pocket_name' => $plan->pockets[(string) $held->pocket_id]->name,
                    'condition' => $held->condition,
                    'quantity' => $held->quantity,
                ];
            }
            $kits[] = new FleetKit(
                strtolower((string) Str::ulid()), sprintf('FL-%06d', $number), "{$model->name} {$number}", $model,
                (string) $place['id'], (string) $place['path'], $order, $contents,
            );
        }

        return $kits;
    }

    /** @param  list<FleetKit>  $kits */
    private function cycles(array $kits): int
    {
        $equipped = array_sum(array_map(static fn (FleetKit $kit): int => count($kit->contents), $kits));
        $each = array_sum(array_map(static fn (FleetKit $kit): int => 3 * min(self::ROWS, count($kit->contents)), $kits));

        return $each === 0 ? 0 : max(0, (int) round(((int) $this->argument('movements') - $equipped) / $each));
    }

    private function equip(FleetKit $kit): void
    {
        $changes = [];
        foreach ([
            ['code', $kit->code, null], ['name', $kit->name, null], ['edition', $kit->model->design_edition_id, 'the design of the model'],
            ['place', $kit->placeId, $kit->place], ['scope', $kit->model->scope->value, null],
        ] as [$field, $value, $name]) {
            $changes[] = [
                'kit_id' => $kit->id, 'field' => $field, 'was' => null, 'becomes' => $value, 'was_name' => null, 'becomes_name' => $name,
            ];
        }
        $movements = array_map(
            fn (array $held): array => $this->movement($held, $held['quantity'], null, $kit, $held['condition'], 'received'),
            $kit->contents,
        );
        $this->write(OperationKind::Equip, $kit, ['operation_kits' => [self::named($kit)], 'movements' => $movements, 'kit_changes' => $changes]);
    }

    /** New pieces come into the store, go into the kit, and are used. */
    private function cycle(FleetKit $kit, Store $store): void
    {
        $held = array_values(array_filter(
            array_slice($kit->contents, 0, self::ROWS),
            static fn (array $row): bool => $row['condition'] === 'good',
        ));
        $stores = [['store_id' => $store->id, 'name' => $store->name]];
        foreach ([
            [OperationKind::Receive, null, $store, 'received'],
            [OperationKind::Restock, $store, $kit, 'restocked'],
            [OperationKind::Use, $kit, null, 'used'],
        ] as [$kind, $from, $to, $reason]) {
            $this->write($kind, $kind === OperationKind::Receive ? null : $kit, [
                ...($kind === OperationKind::Receive ? [] : ['operation_kits' => [self::named($kit)]]),
                ...($kind === OperationKind::Use ? [] : ['operation_stores' => $stores]),
                'movements' => array_map(fn (array $row): array => $this->movement($row, 1, $from, $to, 'good', $reason), $held),
            ]);
        }
    }

    private function check(FleetKit $kit): void
    {
        $at = $this->next();
        $kit->lastFull = $at->format('Y-m-d');
        $this->keep($kit, $at, $this->record->write(OperationKind::FullCheck, $at, [
            'operation_kits' => [self::named($kit)],
            'checks' => [[
                'kit_id' => $kit->id, 'standing' => 'stands', 'design' => 'The design of its model', 'list_title' => 'The list of its model',
                'list_edition' => '1', 'list_confirmed' => false, 'expiry' => 'strict', 'scope' => $kit->model->scope->value,
                'next_check' => $at->addDays(84)->format('Y-m-d'), 'margin_days' => 14, 'verdict' => 'ready', 'mass_g' => 1000, 'max_mass_g' => null,
                'seal_found' => null,
            ]],
            'check_rows' => array_map(static fn (array $held): array => [
                'kit_id' => $kit->id, 'pocket_id' => $held['pocket'], 'pocket' => $held['pocket_name'], ...$held['row'],
                'condition' => $held['condition'], 'recorded' => $held['quantity'], 'counted' => $held['quantity'], 'became' => $held['quantity'],
                'in_doubt' => false,
            ], $kit->contents),
        ]));
    }

    /** @param  array<string, list<array<string, bool|int|string|null>>>  $parts */
    private function write(OperationKind $kind, ?FleetKit $kit, array $parts): void
    {
        $at = $this->next();
        $number = $this->record->write($kind, $at, $parts);
        if ($kit !== null) {
            $this->keep($kit, $at, $number);
        }
    }

    private function keep(FleetKit $kit, CarbonImmutable $at, int $number): void
    {
        $kit->lastOperation = $number;
        $kit->lastDoneAt = $at->format('Y-m-d H:i:s');
    }

    /**
     * @param  Held  $held
     * @return array<string, int|string|null>
     */
    private function movement(
        array $held,
        int $quantity,
        FleetKit|Store|null $from,
        FleetKit|Store|null $to,
        string $condition,
        string $reason,
    ): array {
        $row = [...$held['row'], 'quantity' => $quantity];
        foreach (['from' => $from, 'to' => $to] as $end => $place) {
            $isKit = $place instanceof FleetKit;
            $row["{$end}_kit_id"] = $isKit ? $place->id : null;
            $row["{$end}_pocket_id"] = $isKit ? $held['pocket'] : null;
            $row["{$end}_pocket"] = $isKit ? $held['pocket_name'] : null;
            $row["{$end}_store_id"] = $place instanceof Store ? $place->id : null;
            $row["{$end}_condition"] = $place === null ? null : $condition;
        }

        return [...$row, 'reason' => $reason];
    }

    /** The kit as it is now, what lies in it, and that it is to be judged. */
    private function kit(FleetKit $kit): void
    {
        $this->sheets->add('kits', [
            'id' => $kit->id, 'code' => $kit->code, 'name' => $kit->name, 'design_edition_id' => $kit->model->design_edition_id,
            'place_id' => $kit->placeId, 'scope' => $kit->model->scope->value, 'seal' => 'none', 'last_full_on' => $kit->lastFull,
            'last_operation' => $kit->lastOperation, 'last_done_at' => $kit->lastDoneAt,
        ]);
        foreach ($kit->contents as $held) {
            $this->sheets->add('holdings', [
                'whereabouts' => "{$kit->id}/{$held['pocket']}", 'kit_id' => $kit->id, 'pocket_id' => $held['pocket'],
                'lot_id' => (string) $held['row']['lot_id'], 'condition' => $held['condition'], 'quantity' => $held['quantity'],
            ]);
        }
        $today = Organisation::current()->today();
        $this->sheets->add('kit_states', [
            'kit_id' => $kit->id, 'code' => $kit->code, 'walk_order' => $kit->walkOrder, 'verdict' => 'not_ready', 'mass_g' => 0,
            'next_check' => $today, 'band' => 4, 'wants_restock' => false, 'judged_for' => $today, 'judged_version' => 0, 'needs_version' => 1,
            'rests_on' => 0, 'needs_operation' => $kit->lastOperation,
        ]);
    }

    /** @return array<string, string> */
    private static function named(FleetKit $kit): array
    {
        return ['kit_id' => $kit->id, 'code' => $kit->code, 'name' => $kit->name, 'place' => $kit->place];
    }
}
