<?php

declare(strict_types=1);

namespace App\Today;

use App\Judging\Due;
use App\Judging\KitStates;
use App\Judging\OfferedJob;
use App\Judging\ShiftVerdict;
use App\Judging\StateCounts;
use App\Judging\Words;
use App\Kits\Http\PlaceRef;
use App\Kits\Http\ShiftVerdictResource;
use App\Ledger\Parts\CheckFinding;
use App\People\Shifts;
use App\Support\Workers;
use App\Today\Http\HorizonResource;
use App\Today\Http\MarkResource;
use App\Today\Http\TodayResource;
use App\Today\Http\VerdictCount;
use App\Today\Http\WorkResource;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Due\Band;
use Sarcina\Core\Due\Urgency;
use stdClass;

/** The worklist of a day, most pressing first and in walking order, and the horizon of the places in it. */
final class ReadToday
{
    private const PAGE = 25;

    private const MONTHS = 13;

    /** The horizon goes along with the page of the worklist: the places of its first rows. */
    private const HORIZON_PLACES = 24;

    /** @var array<string, list<ShiftVerdict>> by kit, where they differ */
    private array $shifts = [];

    /** @var list<string> the shifts that are on at this moment */
    private array $on = [];

    public function __construct(private readonly Workers $workers, private readonly Shifts $known)
    {
    }

    /** @param  array{string, CarbonImmutable|null}|null  $backup  what is wrong with the backups, where who asks has to see to them */
    public function __invoke(string $today, int $page, Whose $whose, ?array $backup): TodayResource
    {
        [$counts, $beingJudged, $overdue, $inAll] = $this->count($today);
        $rows = $this->work(($page - 1) * self::PAGE, $whose);
        $inAll = $whose->isAll() ? $inAll : $whose->among(DB::table('kit_states')->where('band', '<', Band::Nothing->value))->count();
        $this->readShifts(array_map(strval(...), $rows->pluck('kit_id')->all()));
        $findings = DB::table('kit_findings')
            ->whereIn('kit_id', $rows->pluck('kit_id')->all())
            ->orderBy('position')
            ->get()
            ->groupBy('kit_id');
        $from = CarbonImmutable::parse($today)->startOfMonth();
        $until = $from->addMonths(self::MONTHS)->subDay();

        return new TodayResource(
            $today,
            array_sum($counts) + $beingJudged,
            array_map(
                static fn (Verdict $verdict): VerdictCount => new VerdictCount($verdict->value, $counts[$verdict->value] ?? 0),
                array_reverse(Verdict::cases()),
            ),
            $beingJudged,
            $this->workers->silentSince(),
            $backup[0] ?? null,
            ($backup[1] ?? null)?->toIso8601ZuluString(),
            $overdue,
            array_values($rows->map(fn (stdClass $row): WorkResource => $this->row($row, $findings, $today))->all()),
            $inAll,
            $page,
            max(1, (int) ceil($inAll / self::PAGE)),
            $from->toDateString(),
            $until->toDateString(),
            $horizon = $this->horizon($rows, $today, $until->toDateString()),
            max(0, DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')->distinct()->count('place_id') - count($horizon)),
        );
    }

    /** @return array{array<string, int>, int, int, int} kits by verdict, kits being judged again, kits overdue, rows of the worklist */
    private function count(string $today): array
    {
        $states = StateCounts::on($today);
        $counts = $states->byVerdict;
        $again = KitStates::notPresent($today)->groupBy('verdict')->get(['verdict', DB::raw('COUNT(*) AS kits')]);
        foreach ($again as $one) {
            $counts[$one->verdict] = ($counts[$one->verdict] ?? 0) - (int) $one->kits;
        }

        return [$counts, (int) $again->sum('kits'), $states->overdue, $states->onWorklist];
    }

    /** @return Collection<int, stdClass> most pressing first, by the core's band, and within it in walking order */
    private function work(int $offset, Whose $whose): Collection
    {
        $page = $whose->among(DB::table('kit_states')->where('band', '<', Band::Nothing->value))->select(['kit_id', 'band'])
            ->orderBy('band')->orderBy('walk_order')->orderBy('code')->offset($offset)->limit(self::PAGE);

        return DB::query()->fromSub($page, 'work')
            ->join('kit_states', 'kit_states.kit_id', '=', 'work.kit_id')
            ->join('kits', 'kits.id', '=', 'work.kit_id')
            ->join('places', 'places.id', '=', 'kits.place_id')
            ->orderBy('work.band')->orderBy('kit_states.walk_order')->orderBy('kit_states.code')
            ->get(['kit_states.*', 'kits.name', 'kits.place_id', 'places.name as place', 'places.path', DB::raw(OfferedJob::WAITING)]);
    }

    /** @param  array<string>  $kits */
    private function readShifts(array $kits): void
    {
        $verdict = static fn (ShiftVerdict $one): string => $one->verdict->value;
        $differ = static fn (array $shifts): bool => count(array_unique(array_map($verdict, $shifts))) > 1;
        $this->shifts = array_filter(ShiftVerdict::kept(array_values($kits)), $differ);
        $this->on = $this->shifts === [] ? [] : $this->known->on(now());
    }

    /** @param  Collection<array-key, Collection<int, stdClass>>  $findings */
    private function row(stdClass $row, Collection $findings, string $today): WorkResource
    {
        $asOf = Day::of($today);
        $overdue = $row->overdue_from === null ? 0 : max(0, $asOf->number - Day::of($row->overdue_from)->number + 1);
        $isPresent = KitStates::isPresent($row, $today);
        $texts = [];
        if ($row->due_on !== null && $row->due_on <= (string) $asOf->plusDays(Urgency::SOON_DAYS)) {
            $texts[] = self::dueText($row, $overdue, $today);
        }
        // What was found before is not said of now.
        foreach ($isPresent ? $findings->get($row->kit_id) ?? [] : [] as $finding) {
            // The first text says already that a check is due, since when and why.
            if (in_array($finding->kind, [FindingKind::Overdue->value, FindingKind::Unchecked->value], true)) {
                continue;
            }
            $texts[] = Words::found(CheckFinding::fromRow($finding));
        }
        $job = OfferedJob::of($row, $findings->get($row->kit_id), $today) ?? 'check';

        return new WorkResource(
            $row->code, $row->name, new PlaceRef($row->place_id, $row->place, $row->path), Band::from((int) $row->band)->word(),
            $isPresent ? $row->verdict : null, $job,
            $job === 'check' ? $row->due_kind : null, array_slice($texts, 0, 3), max(0, count($texts) - 3), $row->due_on, $overdue,
            $isPresent ? ShiftVerdictResource::each($this->shifts[$row->kit_id] ?? [], $this->on) : [],
            $row->holds_through,
        );
    }

    private static function dueText(stdClass $row, int $overdue, string $today): string
    {
        $what = $row->due_kind === 'quick' ? 'Quick check' : 'Check';
        $why = match ($row->due_because) {
            'seal' => ': its seal is broken',
            'use' => ': it was used',
            'event' => ': it goes out to an event',
            'first' => ': it was never checked',
            'expiry' => ': something in it expires',
            'disagreement' => ': two counts disagree',
            Due::REPORT => ': pieces were reported used',
            Due::RECHECK => ': no check has counted its contents since they changed',
            Due::SEAL_DOUBT => ': the number on its seal was not the one on record',
            default => '',
        };

        return match (true) {
            $overdue > 0 => "{$what} ".Words::number($overdue, 'day')." overdue{$why}",
            $row->due_on === $today => "{$what} due today{$why}",
            $row->due_on < $today => "{$what} due since ".Words::date($row->due_on).$why,
            default => "{$what} due on ".Words::date($row->due_on).$why,
        };
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return list<HorizonResource>
     */
    private function horizon(Collection $rows, string $today, string $until): array
    {
        $ids = $rows->pluck('place_id')->unique()->take(self::HORIZON_PLACES)->values();
        // The places of the first rows of the worklist, then others that have kits, in walking order.
        $others = DB::table('places')->whereIn('id', DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')->select('place_id'))
            ->whereNotIn('id', $ids->all())->orderBy('walk_order')->limit(self::HORIZON_PLACES - $ids->count())->pluck('id');
        $ids = $ids->concat($others)->all();
        $places = DB::table('places')->whereIn('id', $ids)->orderBy('walk_order')->get(['id', 'name', 'path']);
        $marks = DB::table('kit_dates')->join('kits', 'kits.id', '=', 'kit_dates.kit_id')
            ->leftJoin('items', 'items.code', '=', 'kit_dates.item_code')
            ->whereIn('kit_dates.place_id', $ids)
            ->where('day', '<=', $until)->where(fn (Builder $query) => $query->where('day', '>=', $today)->orWhere('kind', 'check'))
            ->orderBy('day')->get(['kit_dates.*', 'kits.code', 'items.name as item'])->groupBy('place_id');

        return array_values($places->map(static fn (stdClass $place): HorizonResource => new HorizonResource(
            new PlaceRef($place->id, $place->name, $place->path),
            self::marks($marks->get($place->id) ?? collect(), $today),
        ))->all());
    }

    /**
     * One mark for what expires in a kit on a day, and one for its check.
     *
     * @param  Collection<int, stdClass>  $dates
     * @return list<MarkResource>
     */
    private static function marks(Collection $dates, string $today): array
    {
        return array_values($dates->groupBy(static fn (stdClass $date): string => "{$date->day} {$date->kind} {$date->code}")->map(
            static fn (Collection $same): MarkResource => new MarkResource(
                $same->first()->day ?? '',
                $same->first()->kind ?? '',
                $same->first()->code ?? '',
                ($same->first()->kind ?? '') === 'check' && ($same->first()->day ?? '') < $today,
                array_values($same->map(static fn (stdClass $date): string => $date->kind === 'expiry'
                    ? "{$date->item} expires"
                    : Words::check($date->day, $date->due_kind, $date->due_because))->all()),
            ),
        )->all());
    }
}
