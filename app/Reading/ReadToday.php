<?php

declare(strict_types=1);

namespace App\Reading;

use App\Http\Resources\HorizonResource;
use App\Http\Resources\MarkResource;
use App\Http\Resources\PlaceRef;
use App\Http\Resources\TodayResource;
use App\Http\Resources\VerdictCount;
use App\Http\Resources\WorkResource;
use App\Judging\KitStates;
use App\Judging\Words;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The worklist of a day, most pressing first and in walking order, and the horizon of the places in it. */
final class ReadToday
{
    /** Work within this many days is shown; what lies further away is on the horizon. */
    public const SOON_DAYS = 14;

    private const PAGE = 25;

    private const MONTHS = 13;

    private const BANDS = ['stop', 'now', 'soon', 'later'];

    public function __construct(private readonly KitStates $states)
    {
    }

    public function __invoke(string $today, int $page): TodayResource
    {
        $this->states->renewStale($today);
        $soon = CarbonImmutable::parse($today)->addDays(self::SOON_DAYS)->toDateString();
        [$counts, $overdue, $inAll] = $this->count($today, $soon);
        $rows = $this->work($today, $soon)->offset(($page - 1) * self::PAGE)->limit(self::PAGE)->get();
        $reasons = DB::table('kit_reasons')->whereIn('kit_id', $rows->pluck('kit_id')->all())->orderBy('position')->get(['kit_id', 'text'])->groupBy('kit_id');
        $from = CarbonImmutable::parse($today)->startOfMonth();
        $until = $from->addMonths(self::MONTHS)->subDay();

        return new TodayResource(
            $today, array_sum($counts), array_map(static fn (string $verdict): VerdictCount => new VerdictCount($verdict, $counts[$verdict] ?? 0), ['not_ready', 'limited', 'ready_with_actions', 'ready']),
            $overdue, array_values($rows->map(fn (stdClass $row): WorkResource => $this->row($row, $reasons, $today))->all()),
            $inAll, $page, max(1, (int) ceil($inAll / self::PAGE)), $from->toDateString(), $until->toDateString(),
            $this->horizon($rows, $today, $until->toDateString()),
        );
    }

    /** @return array{array<string, int>, int, int} kits by verdict, kits overdue, rows of the worklist */
    private function count(string $today, string $soon): array
    {
        $counts = [];
        $overdue = 0;
        $inAll = 0;
        $groups = DB::table('kit_states')
            ->selectRaw('verdict, COUNT(*) AS kits, SUM(due_on IS NOT NULL AND DATEDIFF(?, due_on) > grace_days) AS overdue, SUM(wants_restock OR (due_on IS NOT NULL AND due_on <= ?)) AS work', [$today, $soon])
            ->groupBy('verdict')->get();
        foreach ($groups as $group) {
            $counts[$group->verdict] = (int) $group->kits;
            $overdue += (int) $group->overdue;
            $inAll += (int) $group->work;
        }

        return [$counts, $overdue, $inAll];
    }

    /** Not ready: it must not go out. Limited, or a check that is due: now. Due within the fortnight: soon. Else something to mend: later. */
    private function work(string $today, string $soon): Builder
    {
        return DB::table('kit_states')
            ->join('kits', 'kits.id', '=', 'kit_states.kit_id')
            ->join('places', 'places.id', '=', 'kits.place_id')
            ->where(fn (Builder $query) => $query->where('wants_restock', true)->orWhere('due_on', '<=', $soon))
            ->selectRaw("CASE WHEN verdict = 'not_ready' THEN 0 WHEN verdict = 'limited' OR due_on <= ? THEN 1 WHEN due_on <= ? THEN 2 ELSE 3 END AS band", [$today, $soon])
            ->addSelect('kit_states.*', 'kits.code', 'kits.name', 'kits.place_id', 'places.name as place', 'places.path')
            ->orderBy('band')->orderBy('places.walk_order')->orderBy('kits.code');
    }

    /** @param  Collection<array-key, Collection<int, stdClass>>  $reasons */
    private function row(stdClass $row, Collection $reasons, string $today): WorkResource
    {
        $overdue = $row->due_on === null ? 0 : max(0, (int) CarbonImmutable::parse($row->due_on)->diffInDays($today) - (int) $row->grace_days);
        $texts = [];
        if ($row->due_on !== null && $row->due_on <= CarbonImmutable::parse($today)->addDays(self::SOON_DAYS)->toDateString()) {
            $texts[] = self::dueText($row, $overdue, $today);
        }
        $all = [...$texts, ...($reasons->get($row->kit_id)?->pluck('text')->all() ?? [])];
        $isDue = $row->due_on !== null && $row->due_on <= $today;
        // What is missing is put right first; but a kit that is due is counted before anything is put in.
        $job = $isDue || ! $row->wants_restock ? 'check' : 'restock';

        return new WorkResource(
            $row->code, $row->name, new PlaceRef($row->place_id, $row->place, $row->path), self::BANDS[(int) $row->band], $row->verdict, $job,
            $job === 'check' ? $row->due_kind : null, array_slice($all, 0, 3), max(0, count($all) - 3), $row->due_on, $overdue,
        );
    }

    private static function dueText(stdClass $row, int $overdue, string $today): string
    {
        $what = ($row->due_kind === 'quick' ? 'Quick check' : 'Check').match ($row->due_because) {
            'seal' => ', its seal is broken',
            'use' => ', it was used',
            'event' => ', it goes out to an event',
            'first' => ', it was never checked',
            'expiry' => ', something runs out',
            default => '',
        };

        return match (true) {
            $overdue > 0 => Words::number($overdue, 'day').' overdue: '.lcfirst($what),
            $row->due_on <= $today => "{$what}: due ".($row->due_on === $today ? 'today' : 'since '.Words::date($row->due_on)),
            default => "{$what}: due ".Words::date($row->due_on),
        };
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return list<HorizonResource>
     */
    private function horizon(Collection $rows, string $today, string $until): array
    {
        $places = DB::table('places')->whereIn('id', $rows->pluck('place_id')->unique()->values()->all())->orderBy('walk_order')->get(['id', 'name', 'path']);
        $marks = DB::table('kit_dates')->join('kits', 'kits.id', '=', 'kit_dates.kit_id')
            ->whereIn('kit_dates.place_id', $places->pluck('id')->all())->where('day', '<=', $until)->where(fn (Builder $query) => $query->where('day', '>=', $today)->orWhere('kind', 'check'))
            ->orderBy('day')->get(['kit_dates.place_id', 'kit_dates.day', 'kit_dates.kind', 'kit_dates.text', 'kits.code']);
        $byPlace = [];
        foreach ($marks as $mark) {
            $byPlace[$mark->place_id]["{$mark->day} {$mark->kind} {$mark->code}"][] = $mark;
        }

        return array_values($places->map(static fn (stdClass $place): HorizonResource => new HorizonResource(
            new PlaceRef($place->id, $place->name, $place->path),
            array_values(array_map(static fn (array $marks): MarkResource => new MarkResource(
                $marks[0]->day, $marks[0]->kind, $marks[0]->code, array_map(static fn (stdClass $mark): string => $mark->text, $marks),
            ), $byPlace[$place->id] ?? [])),
        ))->all());
    }
}
