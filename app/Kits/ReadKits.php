<?php

declare(strict_types=1);

namespace App\Kits;

use App\Judging\KitStates;
use App\Judging\OfferedJob;
use App\Judging\Words;
use App\Kits\Http\KitRow;
use App\Kits\Http\KitsResource;
use App\Kits\Http\PlaceRef;
use App\Ledger\Parts\CheckFinding;
use App\Support\Listing\ListRequest;
use App\Support\Listing\PageOf;
use App\Support\SearchWords;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/** The kits in service, as they are asked for: by place, by what they want, by name; with what is known of each. */
final class ReadKits
{
    private const COLUMNS = [
        'kit_states.*', 'kits.name', 'kits.last_full_on', 'kits.seal', 'kits.place_id', 'places.name as place', 'places.path',
        'designs.name as design',
    ];

    private const AT_ONCE = 500;

    public function __invoke(ListRequest $asked, string $today): KitsResource
    {
        // Looked for among the states alone, so that an index answers; what else is said of them is read of one page.
        [$found, $page] = PageOf::read($this->asked($asked, $today), $asked->page(), ['kit_states.kit_id']);

        return new KitsResource($this->rows(array_column($found, 'kit_id'), $today), $page);
    }

    /** @return iterable<list<string|int|null>> all that are asked for, for a sheet */
    public function sheet(ListRequest $asked, string $today): iterable
    {
        $ids = $this->asked($asked, $today)->pluck('kit_states.kit_id')->map(strval(...))->all();
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            foreach ($this->rows($some, $today) as $kit) {
                yield [
                    $kit->code, $kit->name, $kit->design_name, $kit->place->path, $kit->verdict ?? 'being updated', $kit->due_on, $kit->due_kind,
                    $kit->overdue_days, $kit->last_full_on, $kit->seal, implode('; ', $kit->reasons),
                ];
            }
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['code', 'name', 'design', 'place', 'verdict', 'check_due_on', 'check', 'days_overdue', 'last_full_check_on', 'seal', 'reasons'];
    }

    private function asked(ListRequest $asked, string $today): Builder
    {
        $kits = DB::table('kit_states');
        $place = $asked->filter('place');
        if ($place !== null || $asked->text() !== '') {
            $kits->join('kits', 'kits.id', '=', 'kit_states.kit_id');
        }
        if ($place !== null) {
            $kits->whereIn('kits.place_id', self::within(strtolower($place)));
        }
        if ($asked->text() !== '') {
            $kits->whereIn('kit_states.kit_id', self::named($asked->text()));
        }
        if ($asked->filter('verdict') !== null) {
            // What is being judged again has none to be found by.
            $kits->where('verdict', $asked->filter('verdict'))->where('is_marked', false);
        }
        match ($asked->filter('work')) {
            'check_due' => $kits->where('due_on', '<=', $today),
            'check_later' => $kits->where('due_on', '>', $today),
            'check_none' => $kits->whereNull('due_on'),
            'restock' => $kits->where('wants_restock', true),
            default => $kits,
        };
        $direction = $asked->direction();
        match ($asked->sort()) {
            'code' => $kits->orderBy('kit_states.code', $direction),
            // What is not planned comes last.
            'due' => ($asked->filter('work') === null ? $kits->orderByRaw('due_on IS NULL') : $kits)->orderBy('due_on', $direction),
            'band' => $kits->orderBy('band', $direction),
            default => $kits->orderBy('walk_order', $direction),
        };

        return $kits->orderBy('walk_order')->orderBy('kit_states.code');
    }

    /** Kits whose code or name, or whose place, is called so. */
    private static function named(string $text): Builder
    {
        $words = SearchWords::of($text);
        $inPlaces = DB::table('kits')->whereIn('place_id', $words->among(DB::table('places'), 'path')->select('id'))->select('id');

        return DB::table('kits')->where('code', 'like', $words->beginning())->select('id')
            ->union($words->among(DB::table('kits'), 'name')->select('id'))->union($inPlaces);
    }

    /**
     * The place and what lies in it.
     *
     * @return list<string>
     */
    private static function within(string $place): array
    {
        return array_values(array_map(static fn (stdClass $one): string => $one->id, DB::select(
            'WITH RECURSIVE below (id) AS (SELECT id FROM places WHERE id = ?
             UNION SELECT places.id FROM places JOIN below ON places.parent_id = below.id)
             SELECT id FROM below',
            [$place],
        )));
    }

    /**
     * @param  array<string>  $ids
     * @return list<KitRow> in that order
     */
    private function rows(array $ids, string $today): array
    {
        $kits = DB::table('kit_states')->join('kits', 'kits.id', '=', 'kit_states.kit_id')->join('places', 'places.id', '=', 'kits.place_id')
            ->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')
            ->join('designs', 'designs.id', '=', 'design_editions.design_id')
            ->whereIn('kit_states.kit_id', $ids)->get([...self::COLUMNS, DB::raw(OfferedJob::WAITING)])->keyBy('kit_id');
        $findings = DB::table('kit_findings')->whereIn('kit_id', $ids)->orderBy('position')->get()->groupBy('kit_id');
        $rows = [];
        foreach ($ids as $id) {
            $kit = $kits->get($id);
            if ($kit !== null) {
                $rows[] = self::row($kit, $findings->get($id) ?? collect(), $today);
            }
        }

        return $rows;
    }

    /** @param  Collection<int, stdClass>  $findings */
    private static function row(stdClass $kit, Collection $findings, string $today): KitRow
    {
        $isPresent = KitStates::isPresent($kit, $today);
        $overdue = $kit->overdue_from === null ? 0 : max(0, Day::of($today)->number - Day::of($kit->overdue_from)->number + 1);

        return new KitRow(
            $kit->code, $kit->name, $kit->design, new PlaceRef($kit->place_id, $kit->place, $kit->path), $isPresent ? $kit->verdict : null,
            $kit->due_on, $kit->due_kind, $overdue, $kit->last_full_on, (bool) $kit->wants_restock, $kit->seal,
            // What was found before is not said of now.
            $isPresent ? array_values($findings->map(static fn (stdClass $found): string => Words::found(CheckFinding::fromRow($found)))->all()) : [],
            OfferedJob::of($kit, $findings, $today), $kit->holds_through,
        );
    }
}
