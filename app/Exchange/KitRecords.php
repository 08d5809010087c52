<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Designs\Models\Design;
use App\Judging\KitPlans;
use App\Kits\ChangeKit;
use App\Kits\EquipKit;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Kits\MoveModule;
use App\Kits\NewKitReport;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\PieceCondition;
use App\Stock\Lots;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Kit\Condition;

/**
 * Kits with their contents. A new kit is packed by its file; the contents of a known one are changed by a check, never by a file.
 *
 * @phpstan-type Held array{
 *     pocket: string, item: string, lot: string|null, expires: string|null, quantity: int, condition: string, opened_on: string|null,
 * }
 * @phpstan-type KitRecord array{
 *     code: string, name: string, design: string, place: string, scope: string, in: string|null, contents: list<Held>,
 * }
 */
final class KitRecords implements Records
{
    /** @var array<string, array<string, mixed>>|null */
    private ?array $there = null;

    /** @var array<string, Place> by path */
    private array $places = [];

    /** @var array<string, array{id: string, pockets: array<string, string>}> designs by code, pockets by "Leaf, Pocket" */
    private array $designs = [];

    /** @var list<string> codes of the kits that are there or in the file */
    private array $codes = [];

    /** @var array<string, string> item ids by code */
    private array $items = [];

    public function __construct(
        private readonly EquipKit $equip,
        private readonly ChangeKit $change,
        private readonly MoveModule $modules,
        private readonly KitPlans $plans,
        private readonly Lots $lots,
        private readonly Organisation $organisation,
    ) {
    }

    public function all(): array
    {
        return array_values($this->there());
    }

    public function code(array $record): string
    {
        return is_string($record['code'] ?? null) ? $record['code'] : '';
    }

    public function begin(array $records): void
    {
        $this->places = Place::query()->get()->keyBy('path')->all();
        $this->items = DB::table('items')->pluck('id', 'code')->all();
        foreach (Design::query()->with('latest')->get() as $design) {
            if ($design->latest === null) {
                continue;
            }
            $plan = $this->plans->of($design->latest->id);
            $ids = array_keys($plan->pockets);
            $this->designs[$design->code] = ['id' => $design->id, 'pockets' => array_combine(array_map($plan->pocketName(...), $ids), $ids)];
        }
        $there = array_map(strval(...), DB::table('kits')->pluck('code')->all());
        $this->codes = array_values([...array_map($this->code(...), $records), ...$there]);
    }

    public function known(array $record): ?array
    {
        return $this->there()[$this->code($record)] ?? null;
    }

    public function whole(array $record): array
    {
        $record += ['scope' => 'first_aider', 'in' => null];
        $contents = is_array($record['contents'] ?? null)
            ? array_map(
                static fn (mixed $row): array => (array) $row + ['lot' => null, 'expires' => null, 'condition' => 'good', 'opened_on' => null],
                $record['contents'],
            )
            : [];
        usort(
            $contents,
            static fn (array $one, array $other): int => [
                $one['pocket'] ?? '',
                $one['item'] ?? '',
                $one['lot'],
                $one['expires'],
                $one['condition'],
                $one['opened_on'],
            ] <=> [
                $other['pocket'] ?? '', $other['item'] ?? '', $other['lot'], $other['expires'], $other['condition'], $other['opened_on'],
            ],
        );

        return [...$record, 'contents' => $contents];
    }

    public function problems(array $record, ?array $known): array
    {
        /**
         * @var array{
         *     code: string, design: string, place: string, in: string|null,
         *     contents: list<array{pocket: string, item: string, expires: string|null, quantity: int, condition: string, opened_on: string|null}>,
         * } $record
         */
        $problems = [];
        if (! isset($this->places[$record['place']])) {
            $problems[] = "There is no place \"{$record['place']}\".";
        }
        $design = $this->designs[$record['design']] ?? null;
        if ($design === null) {
            return [...$problems, "There is no design \"{$record['design']}\". Import the design first."];
        }
        if ($record['in'] !== null && ($record['in'] === $record['code'] || ! in_array($record['in'], $this->codes, true))) {
            $problems[] = "There is no kit \"{$record['in']}\" that this could be a module in.";
        }
        if ($known !== null) {
            if ($known['in'] !== $record['in']) {
                $problems[] = 'This kit is known: modules are added and removed on the page of the kit, not by a file. Leave it as it was exported.';
            }
            if ($known['design'] !== $record['design']) {
                $problems[] = "This kit is of the design {$known['design']}; a kit keeps its design.";
            }
            if ($known['contents'] != $record['contents']) {
                $problems[] = 'This kit is known: its contents are changed by a check or a restock, not by a file. Leave them as they were exported.';
            }

            return $problems;
        }
        foreach ($record['contents'] as $index => $row) {
            $at = 'contents '.($index + 1);
            if (! isset($this->items[$row['item']])) {
                $problems[] = "{$at}: there is no item \"{$row['item']}\" in the catalogue.";
            }
            if (! isset($design['pockets'][$row['pocket']])) {
                $problems[] = "{$at}: the design has no pocket \"{$row['pocket']}\".";
            }
            if ($row['opened_on'] !== null) {
                array_push($problems, ...self::openedFaults($at, $row['condition'], $row['opened_on'], $this->organisation->today()));
            }
            if ($row['expires'] !== null) {
                try {
                    PrintedDate::of($row['expires']);
                } catch (NotADay $refused) {
                    $problems[] = "{$at}: {$refused->getMessage()}";
                }
            }
        }

        return $problems;
    }

    /** @return list<string> */
    private static function openedFaults(string $at, string $condition, string $openedOn, string $today): array
    {
        if ($condition !== Condition::Opened->value) {
            return ["{$at}: only an opened piece has opened_on."];
        }
        try {
            return Day::of($openedOn)->isAfter(Day::of($today)) ? ["{$at}: opened_on is a day until today."] : [];
        } catch (NotADay $refused) {
            return ["{$at}: {$refused->getMessage()}"];
        }
    }

    public function take(array $changes, User $by, callable $progress): void
    {
        $day = $this->organisation->today();
        foreach ($changes as $done => $change) {
            /** @var KitRecord $record */
            $record = $change['record'];
            $place = $this->places[$record['place']];
            $kit = Kit::query()->where('code', $record['code'])->first();
            if ($kit === null) {
                $this->pack($record, $place, $by, $day);
            } else {
                if ($kit->parent_kit_id === null) {
                    $this->change->describe($kit, $kit->code, $record['name'], $record['scope'], $by, now(), $day);
                }
                if ($kit->parent_kit_id === null && $kit->place_id !== $place->id) {
                    $this->change->move($kit, $place, $by, now(), $day);
                }
            }
            $progress($done + 1);
        }
        foreach ($changes as $change) {
            if ($change['known'] === null && $change['record']['in'] !== null) {
                $this->modules->putIn(
                    Kit::query()->where('code', $change['record']['code'])->firstOrFail(),
                    Kit::query()->where('code', $change['record']['in'])->firstOrFail(),
                    $by, now(), $day,
                );
            }
        }
        $this->there = null;
    }

    /** @param  KitRecord  $record */
    private function pack(array $record, Place $place, User $by, string $day): void
    {
        $design = $this->designs[$record['design']];
        $report = new NewKitReport(
            Str::lower((string) Str::ulid()),
            $record['code'],
            $record['name'],
            $design['id'],
            $place->id,
            $record['scope'],
        );
        ($this->equip)(
            $report,
            $by,
            now(),
            $day,
            null,
            fn (Kit $kit): array => array_map(
                fn (array $row): LotMovement => new LotMovement(
                    $this->lots->findOrMake($this->items[$row['item']], $row['lot'], $row['expires']),
                    $row['quantity'],
                    null,
                    Location::pocket($kit->id, $design['pockets'][$row['pocket']], PieceCondition::recorded($row['condition'], $row['opened_on'])),
                    'received',
                ),
                $record['contents'],
            ),
        );
    }

    /** @return array<string, array<string, mixed>> */
    private function there(): array
    {
        if ($this->there === null) {
            $contents = [];
            $rows = DB::table('holdings')
                ->join('lots', 'lots.id', '=', 'holdings.lot_id')
                ->join('items', 'items.id', '=', 'lots.item_id')
                ->join('kits', 'kits.id', '=', 'holdings.kit_id')
                ->get([
                    'holdings.kit_id', 'holdings.pocket_id', 'holdings.quantity', 'holdings.condition', 'lots.number', 'lots.expires', 'items.code',
                    'kits.design_edition_id', 'kits.configuration_id',
                ]);
            foreach ($rows as $row) {
                $contents[$row->kit_id][] = [
                    'pocket' => $this->plans->of($row->design_edition_id, $row->configuration_id)->pocketName($row->pocket_id),
                    'item' => $row->code,
                    'lot' => $row->number,
                    'expires' => $row->expires,
                    'quantity' => (int) $row->quantity,
                    'condition' => PieceCondition::of($row->condition)->condition->value,
                    'opened_on' => PieceCondition::of($row->condition)->openedOn,
                ];
            }
            $this->there = Kit::query()
                ->where('retired_on', null)
                ->with(['edition.design', 'place', 'parent'])
                ->orderBy('code')
                ->get()
                ->mapWithKeys(
                    fn (Kit $kit): array => [
                        $kit->code => $this->whole([
                            'code' => $kit->code,
                            'name' => $kit->name,
                            'design' => $kit->edition->design->code,
                            'place' => $kit->place->path,
                            'scope' => $kit->scope->value,
                            'in' => $kit->parent?->code,
                            'contents' => $contents[$kit->id] ?? [],
                        ]),
                    ],
                )
                ->all();
        }

        return $this->there;
    }
}
