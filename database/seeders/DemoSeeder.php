<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Assess\Models\ProvisionChoice;
use App\Catalogue\Catalogue;
use App\Catalogue\Classes;
use App\Catalogue\Models\Item;
use App\Catalogue\Models\ItemClass;
use App\Designs\Models\Design;
use App\Designs\PublishEdition;
use App\Exchange\DesignDocument;
use App\Kits\Models\Event;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Kits\NewKitReport;
use App\Lists\Models\KitList;
use App\Stock\Lots;
use App\Stock\Models\Store;
use App\Tasks\Models\KitTask;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Quillhaven Botanic Garden, made up: what database/demo says, counted from today. */
final class DemoSeeder extends Seeder
{
    /** For every demo sign-in; said by `bin/sarcina start`. */
    public const PASSWORD = 'lantern-walk-2026';

    /** @var array<string, Place> */
    private array $places = [];

    public function run(): void
    {
        $organisation = Organisation::query()->create(['name' => 'Quillhaven Botanic Garden', 'time_zone' => 'Europe/London']);
        // Made only now: they know whose kits these are.
        [$lots, $catalogue, $history, $planning] = [app(Lots::class), app(Catalogue::class), app(DemoHistory::class), app(DemoPlanning::class)];
        $files = new DemoFiles(CarbonImmutable::parse($organisation->today()));
        $people = [];
        foreach ($files->rows('people') as $row) {
            $people[$row['key']] = User::query()->create([
                'name' => $row['name'], 'email' => $row['email'], 'role' => $row['role'],
                'password' => self::PASSWORD,
            ]);
        }
        $this->places($files);
        $stores = [];
        foreach ($files->rows('stores') as $row) {
            $stores[$row['key']] = Store::query()->create(['place_id' => $this->places[$row['place']]->id, 'name' => $row['name']]);
        }
        $this->items($files);
        $loader = new ListLoader;
        $loader->starters();
        $loader->house();
        $this->classes();
        $this->designs();
        $this->choices();
        $catalogue->forget();
        $history->makeLots($files, $lots);
        $kits = $this->kits($files, $history, $people['lead']);
        $this->events($files, $kits);
        $planning->load($files, $people, $this->places);
        $history->load($files, $people, $stores, $kits);
        $this->responsibility($files, $people, $kits, $organisation->today());
    }

    /**
     * Who answers for the kits, and what was given to whom.
     *
     * @param  array<string, User>  $people
     * @param  array<string, Kit>  $kits
     */
    private function responsibility(DemoFiles $files, array $people, array $kits, string $today): void
    {
        foreach ($files->rows('responsible') as $row) {
            DB::table('kits')->where('id', $kits[$row['kit']]->id)->update([
                'responsible_id' => $people[$row['responsible']]->id, 'deputy_id' => $people[$row['deputy']]->id ?? null,
            ]);
        }
        $day = CarbonImmutable::parse($today);
        foreach ($files->rows('tasks') as $row) {
            KitTask::query()->create([
                'kit_id' => $kits[$row['kit']]->id, 'kind' => $row['kind'], 'text' => $row['text'], 'user_id' => $people[$row['user']]->id,
                'due_on' => $day->addDays((int) $row['due_in'])->toDateString(), 'given_by_id' => $people[$row['given_by']]->id,
                'given_on' => $day->subDays((int) $row['days_ago'])->toDateString(),
            ]);
        }
    }

    private function places(DemoFiles $files): void
    {
        $order = 0;
        foreach ($files->rows('places') as $row) {
            $parent = $this->places[$row['parent']] ?? null;
            $this->places[$row['key']] = Place::query()->create([
                'parent_id' => $parent?->id, 'kind' => $row['kind'], 'name' => $row['name'],
                'path' => $parent === null || $parent->kind === 'site' ? $row['name'] : "{$parent->path}, {$row['name']}",
                'walk_order' => $order += 10,
            ]);
        }
    }

    private function items(DemoFiles $files): void
    {
        $rows = $files->rows('items');
        $items = [];
        foreach ($rows as $row) {
            $items[$row['code']] = $item = Item::query()->create([
                'code' => $row['code'], 'name' => $row['name'], 'class' => $row['class'],
                'count_unit' => $row['unit'], 'dated' => $row['dated'] === 'y', 'sterile' => $row['sterile'] === 'y',
                'mass_g' => (int) $row['mass_g'], 'scope' => $row['scope'],
                'keeps_as_reserve' => $row['reserve'] === 'y', 'only_for_trained' => $row['only_for_trained'] === 'y', 'purpose' => $row['purpose'],
                'caution' => $row['caution'] ?: null, 'allergy' => $row['allergy'] ?: null,
                ...self::storage($row['storage']), ...self::openedLife($row['opened']),
            ]);
            foreach (self::parts($row['measures'], ';') as $measure) {
                [$name, $quantity] = explode('=', $measure);
                $item->measures()->create(['measure' => $name, 'quantity' => $quantity]);
            }
            foreach (self::parts($row['packs'], ',') as $pack) {
                [$pieces, $price] = [...explode('@', $pack), null];
                $item->packs()->create(['pieces' => (int) $pieces, 'price' => $price === null ? null : (int) $price]);
            }
        }
        foreach ($rows as $row) {
            foreach (self::parts($row['never_for'], ';') as $class) {
                DB::table('item_never_for')->insert(['item_id' => $items[$row['code']]->id, 'class' => $class]);
            }
            foreach (self::parts($row['stand_ins'], ';') as $position => $standIn) {
                $items[$row['code']]->standIns()->attach($items[$standIn]->id, ['position' => $position]);
            }
            if ($row['superseded_by'] !== '') {
                $items[$row['code']]->update(['superseded_by_id' => $items[$row['superseded_by']]->id]);
            }
            foreach (self::parts($row['needs'], '/') as $need) {
                [$per, $quantity, $companions, $reason] = explode(':', $need);
                $made = $items[$row['code']]->needs()->create(['per' => $per, 'quantity' => (int) $quantity, 'reason' => $reason]);
                $made->companions()->attach(array_map(static fn (string $code): string => $items[$code]->id, explode(';', $companions)));
            }
        }
    }

    private function designs(): void
    {
        $publish = app(PublishEdition::class);
        $made = CarbonImmutable::parse(Organisation::current()->today())->subMonths(10);
        foreach (DemoFiles::json('demo/designs.json')['designs'] as $about) {
            [$count, $unit] = explode(' ', $about['every']);
            $design = Design::query()->create([
                'code' => $about['code'], 'name' => $about['name'], 'provides' => $about['provides'] ?? null, 'serves' => $about['serves'] ?? null,
            ]);
            $leaves = array_map(static fn (array $leaf): array => [
                'name' => $leaf['name'], 'pockets' => array_map(DesignDocument::wholePocket(...), $leaf['pockets']),
            ], $about['leaves']);
            $additions = array_map(
                static fn (array $line, int $index): array => [...ListLoader::document($line), 'id' => 'A'.($index + 1)],
                array_values($about['additions']),
                array_keys(array_values($about['additions'])),
            );
            $publish($design, DesignDocument::content(
                [
                    'modules' => [], 'grace_days' => 0, 'margin_days' => 14, 'max_mass_g' => null, 'after_use' => true, 'configurations' => [],
                    ...$about,
                    'every' => ['count' => (int) $count, 'unit' => $unit], 'additions' => $additions, 'leaves' => $leaves,
                ],
                KitList::query()->where('code', $about['list'])->firstOrFail()->id,
                [],
            ), $made);
        }
    }

    /**
     * As they were made and packed nine months ago.
     *
     * @return array<string, Kit>
     */
    private function kits(DemoFiles $files, DemoHistory $history, User $by): array
    {
        $designs = Design::query()->pluck('id', 'code');
        $kits = [];
        foreach ($files->rows('kits') as $row) {
            $report = new NewKitReport(
                Str::lower((string) Str::ulid()),
                $row['code'],
                $row['name'],
                $designs[$row['design']],
                $this->places[$row['place']]->id,
                $row['scope'],
            );
            $kits[$row['code']] = $history->equip($files, $report, $by);
            if ($row['in'] !== '') {
                $history->putIn($kits[$row['code']], $kits[$row['in']], $by);
            }
        }

        return $kits;
    }

    /** @param  array<string, Kit>  $kits */
    private function events(DemoFiles $files, array $kits): void
    {
        foreach ($files->rows('events') as $row) {
            $event = Event::query()->create(['name' => $row['name'], 'day' => $files->today->addDays((int) $row['in_days'])->toDateString()]);
            foreach (self::parts($row['kits'], ' ') as $code) {
                $kits[$code]->events()->attach($event->id);
            }
        }
    }

    /** Every class that an item or a list names, and what lies above it. */
    private function classes(): void
    {
        foreach ((new DemoFiles(CarbonImmutable::now()))->rows('classes') as $row) {
            ItemClass::query()->create($row);
        }
        (new Classes)->makeAll();
    }

    /** Which list a kit of each size keeps, and of which design it is made. */
    private function choices(): void
    {
        foreach (DemoFiles::json('demo/provision-choices.json')['choices'] as $wanted => $choice) {
            ProvisionChoice::query()->updateOrCreate(['wanted' => $wanted], [
                'list_id' => KitList::query()->where('code', $choice['list'])->value('id'),
                'design_id' => isset($choice['design']) ? Design::query()->where('code', $choice['design'])->value('id') : null,
            ]);
        }
    }

    /** @return array{storage_min_c?: int, storage_max_c?: int} */
    private static function storage(string $range): array
    {
        return sscanf($range, '%d..%d', $least, $most) === 2 ? ['storage_min_c' => (int) $least, 'storage_max_c' => (int) $most] : [];
    }

    /** @return array{opened_life?: int, opened_life_unit?: string} */
    private static function openedLife(string $life): array
    {
        return sscanf($life, '%d %s', $count, $unit) === 2 ? ['opened_life' => (int) $count, 'opened_life_unit' => (string) $unit] : [];
    }

    /** @return list<string> */
    private static function parts(string $text, string $by): array
    {
        return $by === '' || $text === '' ? [] : explode($by, $text);
    }
}
