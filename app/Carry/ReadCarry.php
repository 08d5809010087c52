<?php

declare(strict_types=1);

namespace App\Carry;

use App\Accounts\Models\Organisation;
use App\Carry\Http\CarriedItem;
use App\Carry\Http\CarryResource;
use App\Uses\UsedItem;
use App\Uses\UseRates;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Par\Carried;
use Sarcina\Core\Par\Counted;
use Sarcina\Core\Par\Poisson;
use Sarcina\Core\Par\Together;
use stdClass;

/**
 * How many of each item to carry for so many people and days. Rates come from one's own records where ten uses of an item are known, and
 * from the shipped starting points else; each says which, and how uncertain it is.
 */
final class ReadCarry
{
    private const MOST = 60;

    public function __construct(
        private readonly UseRates $rates,
        private readonly StartingRates $starting,
        private readonly Organisation $organisation,
    ) {
    }

    public function __invoke(CarryQuestion $asked): CarryResource
    {
        $today = $this->organisation->today();
        $known = $this->rates->ofItems($today);
        $days = $this->rates->daysOnRecord($today);
        $covered = $asked->covered ?? $this->people();
        $items = $this->items($asked, array_keys($known));
        $rows = $without = [];
        foreach ($items as $item) {
            $used = $known[$item->code] ?? new UsedItem(0, 0);
            $own = $covered === 0 ? null : $this->own($used, $covered * $days);
            $starting = $this->starting->of($item->class);
            $rate = $own ?? ($starting === null ? null : BigRational::of($starting->per_1000_person_days));
            if ($rate === null) {
                $without[] = $item->name;

                continue;
            }
            $pieces = $own === null ? (int) ($starting->pieces_per_use ?? 1) : $used->piecesPerUse();
            $carried = Carried::of($item->code, $asked->each, $asked->people, $asked->days, $rate, $pieces, 0);
            $rows[] = [$item, $used, $own !== null, $rate, $carried, $pieces];
        }
        $poissons = array_map(static fn (array $row): Poisson => new Poisson($row[4]->mean), $rows);
        $common = $asked->together === null || $rows === [] ? null : Together::common($poissons, $asked->together);

        return new CarryResource(
            $asked->people, $asked->days, self::decimal($asked->each), $asked->together === null ? null : self::decimal($asked->together),
            Together::chance(array_map(static fn (array $row, Poisson $poisson): array => [$poisson, $row[4]->uses], $rows, $poissons)),
            $common === null ? null : self::decimal($common), $covered, $days, $this->starting->about(),
            array_map(fn (array $row, Poisson $poisson): CarriedItem => $this->row($row, $poisson, $covered * $days), $rows, $poissons), $without,
        );
    }

    /** @return BigRational|null uses in 1000 person-days; null where too few uses are known to tell */
    private function own(UsedItem $used, int $personDays): ?BigRational
    {
        return $used->uses < Counted::ENOUGH ? null : BigRational::nd($used->uses * 1000, $personDays)->simplified();
    }

    /** @param  array{stdClass, UsedItem, bool, BigRational, Carried, int}  $row */
    private function row(array $row, Poisson $poisson, int $personDays): CarriedItem
    {
        [$item, $used, $isOwn, $rate, $carried, $pieces] = $row;
        $counted = $isOwn ? Counted::of($used->uses) : null;
        $rated = static fn (BigRational $uses): string => self::rounded($uses->multipliedBy(1000)->dividedBy($personDays), 2);

        return new CarriedItem(
            $item->code, $item->name, $isOwn ? 'own' : 'starting', $used->uses, self::rounded($rate, 2),
            $counted === null ? null : $rated($counted->least), $counted === null ? null : $rated($counted->most),
            $pieces, self::rounded($carried->mean, 4), $carried->uses, $carried->par, Together::chance([[$poisson, $carried->uses]]),
        );
    }

    /**
     * @param  list<int|string>  $used
     * @return list<stdClass> code, name and class
     */
    private function items(CarryQuestion $asked, array $used): array
    {
        $codes = match (true) {
            $asked->items !== [] => $asked->items,
            $asked->listId !== null => DB::table('lines')->join('line_entries', 'line_entries.line_id', '=', 'lines.id')
                ->join('items', 'items.id', '=', 'line_entries.item_id')->where('lines.list_id', $asked->listId)
                ->where('line_entries.position', 0)->orderBy('lines.position')->pluck('items.code')->all(),
            default => array_map(strval(...), $used),
        };
        $found = DB::table('items')->whereIn('code', $codes)->where('class', 'not like', 'training%')->get(['code', 'name', 'class'])->keyBy('code');

        return array_slice(array_values(array_filter(array_map(
            static fn (string $code): ?stdClass => $found->get($code), array_values(array_unique(array_map(strval(...), $codes))),
        ))), 0, self::MOST);
    }

    /** People on site by the assessment that is in force: the one signed last, since each follows the one before it. */
    private function people(): int
    {
        return (int) DB::table('assessment_areas')->join('assessments', 'assessments.id', '=', 'assessment_areas.assessment_id')
            ->whereNotNull('assessments.signed_on')
            ->whereNotExists(static fn ($next) => $next->from('assessments as next')->whereColumn('next.follows_id', 'assessments.id')
                ->whereNotNull('next.signed_on'))
            ->sum('people');
    }

    private static function decimal(BigRational $number): string
    {
        return self::rounded($number, 4);
    }

    private static function rounded(BigRational $number, int $places): string
    {
        return (string) $number->toScale($places, RoundingMode::HALF_UP);
    }
}
