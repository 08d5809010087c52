<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Assess\Models\ProvisionChoice;
use App\Catalogue\Catalogue;
use App\Checks\CountedRow;
use App\Cope\ShippedEmergencies;
use App\Designs\KeepMissed;
use App\Designs\Models\Design;
use App\Designs\PublishEdition;
use App\Exchange\DesignDocument;
use App\Kits\Models\Event;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Kits\NewKitReport;
use App\Ledger\Head;
use App\Ledger\WhenDone;
use App\Lists\Models\KitList;
use App\Reports\KeepReports;
use App\Reports\ReportCodes;
use App\Stock\Lots;
use App\Stock\Models\Store;
use App\Stock\ShelfRow;
use App\Stock\StoreReport;
use App\Stock\StoreTask;
use App\Stock\WorkAtStore;
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
        $catalogueFiles = new CatalogueLoader;
        $catalogueFiles->items(true);
        foreach ($files->rows('levels') as $row) {
            DB::table('store_levels')->insert([
                'store_id' => $stores[$row['store']]->id, 'item_id' => DB::table('items')->where('code', $row['item'])->value('id'),
                'least' => (int) $row['least'], 'target' => (int) $row['target'],
            ]);
        }
        $loader = new ListLoader;
        $loader->starters();
        $loader->house();
        $catalogueFiles->classes();
        app(ShippedEmergencies::class)->fit();
        $this->designs();
        $this->choices();
        $catalogue->forget();
        $history->makeLots($files, $lots);
        $kits = $this->kits($files, $history, $people['lead']);
        $this->events($files, $kits);
        $planning->load($files, $people, $this->places);
        $history->load($files, $people, $stores, $kits);
        $this->responsibility($files, $people, $kits, $organisation->today());
        $this->missed($files, $people, $organisation->today());
        $this->daily($files, $people, $stores, $kits);
    }

    /**
     * What is going on these days: a loan that is nearly over, a report of use that waits, and what was said of pieces that were not found.
     *
     * @param  array<string, User>  $people
     * @param  array<string, Store>  $stores
     * @param  array<string, Kit>  $kits
     */
    private function daily(DemoFiles $files, array $people, array $stores, array $kits): void
    {
        $lent = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('store_id', $stores['cupboard']->id)->where('items.code', 'triangular-bandage')->where('holdings.condition', 'good')
            ->orderByDesc('quantity')->first(['items.code', 'lots.number', 'lots.expires']);
        app(WorkAtStore::class)(new StoreReport(
            Str::lower((string) Str::ulid()), StoreTask::Lend, $stores['cupboard']->id, WhenDone::now(now()), Head::read()->base(),
            [new ShelfRow(new CountedRow('', (string) $lent?->code, $lent?->number, $lent?->expires, 3, 'good'))], null, 'Their winter course',
            partner: 'Hollowmere Rescue Team', dueOn: $files->today->addDays(4)->toDateString(),
        ), $people['keeper']);
        DB::table('shortfalls')->whereIn('item_id', DB::table('items')->where('code', 'plaster-washproof')->select('id'))->update(['why' => 'used']);
        $codes = app(ReportCodes::class);
        $code = $codes->find($codes->make($kits['QH-10'], $people['lead'], now()));
        app(KeepReports::class)->take($kits['QH-10']->id, Str::lower((string) Str::ulid()), ['plaster-washproof' => 2], $code?->id, null, now());
    }

    /**
     * What was left behind once, and then missed.
     *
     * @param  array<string, User>  $people
     */
    private function missed(DemoFiles $files, array $people, string $today): void
    {
        foreach ($files->rows('missed') as $row) {
            app(KeepMissed::class)->note(
                Design::query()->where('code', $row['design'])->firstOrFail(), Str::lower((string) Str::ulid()), $row['item'],
                CarbonImmutable::parse($today)->subDays((int) $row['days_ago'])->toDateString(), $row['note'], $people[$row['by']], $today,
            );
        }
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
                ...DesignDocument::LEAF, ...$leaf, 'pockets' => array_map(DesignDocument::wholePocket(...), $leaf['pockets']),
            ], $about['leaves']);
            $additions = array_map(
                static fn (array $line, int $index): array => [...ListLoader::document($line), 'id' => 'A'.($index + 1)],
                array_values($about['additions']),
                array_keys(array_values($about['additions'])),
            );
            $publish($design, DesignDocument::content(
                [
                    ...DesignDocument::DEFAULTS,
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

    /** @return list<string> */
    private static function parts(string $text, string $by): array
    {
        return $by === '' || $text === '' ? [] : explode($by, $text);
    }
}
