<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Accounts\Models\Organisation;
use App\Judging\KitJudge;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\ReadVerdict;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitDocument;
use Sarcina\Core\Format\WholeDocument;
use Sarcina\Core\Rule;

/** Kits with random contents, checks and doubts, put into the database behind the application, and what each screen says of them. */
trait RandomFleet
{
    private Randomizer $random;

    /** @var array<string, int> how many kits there were of each verdict */
    private array $seen = [];

    protected function compareRandomKits(int $kits, int $seed): void
    {
        $this->changesRowsByHand();
        $this->random = new Randomizer(new Mt19937($seed));
        $this->seen = [];
        $today = Organisation::current()->today();
        DB::table('organisations')->update(['asks_staging' => true]);
        DB::table('lots')->inRandomOrder($seed)->limit(12)->update(['recalled_on' => $today]);
        // The kits of the demo leave the worklist, so that its pages hold the random ones.
        DB::table('kit_states')->update(['band' => 4]);
        $ids = $this->makeKits($kits, $today);
        $this->app?->forgetScopedInstances();
        app(KitStates::class)->judgeFirst($ids, $today);
        $listed = $this->pages('/api/kits?q=RND-', 'kits');
        $work = $this->pages('/api/today?', 'work');
        foreach ($ids as $id) {
            $this->compare($id, $today, $listed, $work);
        }
        foreach (Verdict::cases() as $verdict) {
            $this->assertGreaterThan(0, $this->seen[$verdict->value] ?? 0, "No random kit was {$verdict->value}, so nothing was tried of it.");
        }
    }

    /**
     * @param  array<string, array<string, mixed>>  $listed  by code
     * @param  array<string, array<string, mixed>>  $work  by code
     */
    private function compare(string $id, string $today, array $listed, array $work): void
    {
        $kit = Kit::query()->with(['place', 'modules'])->findOrFail($id);
        $judged = app(KitJudge::class)->judge($kit, $today);
        $page = app(ReadVerdict::class)($judged);
        $documents = $judged->documents;
        $whole = Rule::Whole->answer(Json::write(WholeDocument::of($documents)));
        $check = Rule::Check->answer(Json::write(KitDocument::of($documents[$whole['judged']])));
        $state = DB::table('kit_states')->where('kit_id', $id)->first();
        $said = [$page->verdict, $listed[$kit->code]['verdict'] ?? 'not listed', $state->verdict ?? 'no state', $whole['verdict'], $check['verdict']];
        $this->assertSame(1, count(array_unique($said)), "{$kit->code}: ".implode(', ', $said));
        $due = $page->verdict !== Verdict::Ready->value || ($state->band ?? 4) < 4;
        $this->assertSame($due, isset($work[$kit->code]), "{$kit->code} on Today");
        $this->assertSame($due ? $page->verdict : null, $work[$kit->code]['verdict'] ?? null, "{$kit->code} on Today");
        $shown = array_map(static fn ($reason): string => "{$reason->severity} {$reason->kind} {$reason->line} {$reason->item}", $page->reasons);
        $told = array_map(
            static fn (array $one): string => "{$one['severity']} {$one['kind']} ".($one['line'] ?? '').' '.($one['item'] ?? ''), $check['findings'],
        );
        count($documents) === 1
            ? $this->assertEqualsCanonicalizing($told, $shown, $kit->code)
            : $this->assertSame([], array_diff(array_filter($told, static fn (string $one): bool => ! str_starts_with($one, 'note')), $shown), $kit->code);
        $this->seen[$page->verdict] = ($this->seen[$page->verdict] ?? 0) + 1;
    }

    /** @return array<string, array<string, mixed>> rows of all pages, by the code of the kit */
    private function pages(string $address, string $of): array
    {
        $rows = [];
        $this->actAs('lead');
        for ($page = 1, $last = 1; $page <= $last; $page++) {
            $this->app?->forgetScopedInstances();
            $answer = $this->getJson("{$address}&page={$page}")->assertOk()->json();
            $last = $answer['pages'] ?? $answer['page']['pages'];
            foreach ($answer[$of] as $row) {
                $rows[$row['kit'] ?? $row['code']] = $row;
            }
        }

        return $rows;
    }

    /** @return list<string> ids */
    private function makeKits(int $kits, string $today): array
    {
        $editions = DB::table('kits')->whereNull('parent_kit_id')->distinct()->pluck('design_edition_id')->all();
        $places = DB::table('kits')->distinct()->pluck('place_id')->all();
        $user = DB::table('users')->value('id');
        $ids = [];
        for ($number = 0; $number < $kits; $number++) {
            $edition = $this->one($editions);
            $id = Str::lower((string) Str::ulid());
            $ids[] = $id;
            DB::table('kits')->insert([
                'id' => $id, 'code' => 'RND-'.$number, 'name' => "Random kit {$number}", 'design_edition_id' => $edition, 'place_id' => $this->one($places),
                'scope' => $this->one(['anyone', 'first_aider', 'trained', 'clinician']), 'seal' => $seal = $this->one(['none', 'none', 'intact', 'broken']),
                'seal_number' => $seal === 'none' ? null : "S{$number}", 'seal_broken_on' => $seal === 'broken' ? $this->day($today, 5) : null,
                'used_on' => $this->oneIn(8) ? $this->day($today, 20) : null,
                'last_full_on' => $this->oneIn(6) ? null : $this->day($today, $this->oneIn(4) ? 500 : 40),
                'seal_doubted_on' => $this->oneIn(15) ? $this->day($today, 3) : null, 'recheck_on' => $this->oneIn(15) ? $this->day($today, 3) : null,
                'created_at' => now(), 'updated_at' => now(),
            ]);
            if ($this->oneIn(6)) {
                $this->copyOfDemo($id, $today);

                continue;
            }
            $this->fill($id, (string) $edition);
            $this->doubt($id, (string) $user, $today);
        }

        return $ids;
    }

    /** Makes the kit like one of the demo, so that kits that are quite ready are among them. */
    private function copyOfDemo(string $kit, string $today): void
    {
        static $demo = null;
        $demo ??= DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')->where('code', 'like', 'QH-%')->get()->all();
        $like = $this->one($demo);
        DB::table('kits')->where('id', $kit)->update([
            'design_edition_id' => $like->design_edition_id, 'place_id' => $like->place_id, 'scope' => $like->scope, 'seal' => 'none', 'seal_number' => null,
            'seal_broken_on' => null, 'seal_doubted_on' => null, 'recheck_on' => null, 'used_on' => null, 'last_full_on' => $today,
        ]);
        $held = DB::table('holdings')->where('kit_id', $like->id)->get(['pocket_id', 'lot_id', 'condition', 'quantity']);
        DB::table('holdings')->insert($held->map(static fn ($row): array => [
            ...(array) $row, 'whereabouts' => "{$kit}/{$row->pocket_id}", 'kit_id' => $kit,
        ])->all());
    }

    /** Fills the kit with what its lines accept, some of it short, in another condition, or of nobody's use. */
    private function fill(string $kit, string $edition): void
    {
        static $lots = [], $pockets = [], $all = null;
        $pockets[$edition] ??= DB::table('placements')->where('design_edition_id', $edition)->distinct()->pluck('pocket_id')->all();
        $lots[$edition] ??= DB::table('lots')->whereIn('item_id', DB::table('line_entries')->whereIn('line_id', DB::table('lines')
            ->where('design_edition_id', $edition)->orWhereIn('list_id', DB::table('design_editions')->where('id', $edition)->select('list_id'))->select('id'))
            ->whereNotNull('item_id')->select('item_id'))->get(['id', 'item_id'])->groupBy('item_id')->all();
        $all ??= DB::table('lots')->pluck('id')->all();
        $rows = [];
        $isFull = $this->oneIn(2);
        foreach ($lots[$edition] as $some) {
            if (! $isFull && $this->oneIn(5)) {
                continue;
            }
            for ($times = $this->random->getInt(1, 2); $times > 0; $times--) {
                $rows[] = [$some[$this->random->getInt(0, count($some) - 1)]->id, $isFull ? 20 : $this->random->getInt(1, 12)];
            }
        }
        if ($this->oneIn(3)) {
            $rows[] = [$this->one($all), 1];
        }
        $held = [];
        foreach ($rows as [$lot, $pieces]) {
            $pocket = $this->one($pockets[$edition]);
            $condition = $this->oneIn($isFull ? 60 : 14) ? $this->one(['opened', 'damaged', 'soiled', 'failed']) : 'good';
            $held["{$pocket} {$lot} {$condition}"] = [
                'whereabouts' => "{$kit}/{$pocket}", 'kit_id' => $kit, 'pocket_id' => $pocket, 'lot_id' => $lot, 'condition' => $condition, 'quantity' => $pieces,
            ];
        }
        DB::table('holdings')->insert(array_values($held));
    }

    private function doubt(string $kit, string $user, string $today): void
    {
        $item = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->where('holdings.kit_id', $kit)->value('lots.item_id');
        for ($reports = $this->oneIn(12) ? $this->random->getInt(1, 5) : 0; $reports > 0 && $item !== null; $reports--) {
            DB::table('kit_reports')->insert(['id' => $id = Str::lower((string) Str::ulid()), 'kit_id' => $kit, 'reported_at' => now()->subDay()]);
            DB::table('kit_report_rows')->insert(['report_id' => $id, 'item_id' => $item, 'pieces' => $this->random->getInt(1, 9)]);
            DB::table('kits')->where('id', $kit)->increment('open_reports');
        }
        if ($this->oneIn(20)) {
            DB::table('builds')->insert(['id' => $id = Str::lower((string) Str::ulid()), 'kit_id' => $kit, 'begun_by_id' => $user, 'begun_at' => now()]);
            DB::table('kits')->where('id', $kit)->update(['build_id' => $id]);
        }
        if ($item !== null && $this->oneIn(10)) {
            $pocket = DB::table('holdings')->where('kit_id', $kit)->value('pocket_id');
            DB::table('unstaged')->insert(['kit_id' => $kit, 'pocket_id' => $pocket, 'item_id' => $item, 'pocket' => 'Lid', 'task' => 'Unfold it']);
            DB::table('kits')->where('id', $kit)->update(['not_staged' => 1]);
        }
    }

    private function day(string $today, int $most): string
    {
        return (new \DateTimeImmutable($today))->modify('-'.$this->random->getInt(0, $most).' days')->format('Y-m-d');
    }

    /**
     * @template T
     *
     * @param  array<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }

    private function oneIn(int $many): bool
    {
        return $this->random->getInt(1, $many) === 1;
    }
}
