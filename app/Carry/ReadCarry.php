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
use Sarcina\Core\Par\BlendedRate;
use Sarcina\Core\Par\Carried;
use Sarcina\Core\Par\Counted;
use Sarcina\Core\Par\Poisson;
use Sarcina\Core\Par\Together;

/**
 * How many of each item to carry on a trip: never less than its list asks for, scaled to people and days, and more where uses ask for
 * more. The rate of a setting and the records of that setting become one rate (Sarcina\Core\Par\BlendedRate).
 */
final class ReadCarry
{
    public function __construct(
        private readonly UseRates $rates,
        private readonly StartingRates $starting,
        private readonly ListedItems $listed,
        private readonly PlaceSettings $settings,
        private readonly Organisation $organisation,
    ) {
    }

    public function __invoke(CarryQuestion $asked): CarryResource
    {
        $today = $this->organisation->today();
        $places = $this->settings->placesOf($asked->setting);
        $known = $this->rates->ofPlaces($places, $today);
        $days = $this->rates->daysOnRecord($today);
        $covered = $asked->covered ?? $this->people($places);
        // Where no kit is in that setting, nothing is on record of it, however many people were typed.
        $personDays = $places === [] ? 0 : $covered * $days;
        $rows = [];
        $rated = [];
        foreach ($asked->list === null ? [] : $this->listed->of($asked->list) as $one) {
            // Two lines may ask for one item: its uses count once.
            $code = $one->item['code'] ?? null;
            $isFirst = $code !== null && ! isset($rated[$code]);
            $rate = $isFirst ? $this->rate($one, $known[$code] ?? new UsedItem(0, 0), $personDays, $asked->setting) : null;
            $rated[(string) $code] = true;
            $pieces = $rate === null ? 1 : $rate[1];
            $carried = Carried::of(
                $code ?? $one->line, $asked->each, $asked->people, $asked->days,
                $rate === null ? BigRational::zero() : $rate[0]->per1000PersonDays(), $pieces, 0, $one->asked,
            );
            $rows[] = [$one, $rate[0] ?? null, $carried, $pieces];
        }
        // What is carried by count alone cannot run short by use.
        $used = array_values(array_filter($rows, static fn (array $row): bool => $row[1] !== null));
        $poissons = array_map(static fn (array $row): Poisson => new Poisson($row[2]->mean), $used);
        $common = $asked->together === null || $used === [] ? null : Together::common($poissons, $asked->together);

        return new CarryResource(
            $asked->people, $asked->days, $asked->setting->value, self::decimal($asked->each),
            $asked->together === null ? null : self::decimal($asked->together),
            Together::chance(array_map(
                static fn (array $row, Poisson $poisson): array => [$poisson, intdiv($row[2]->par, $row[3])], $used, $poissons,
            )),
            $common === null ? null : self::decimal($common), $covered, $days, $this->starting->weight($asked->setting), $this->starting->about(),
            $asked->list?->id, $asked->list?->madeFor() !== null,
            array_map(static fn (array $row): CarriedItem => self::row(...$row), $rows),
        );
    }

    /** @return array{BlendedRate, int}|null and pieces for each use; null for what is carried by count alone */
    private function rate(ListedItem $listed, UsedItem $used, int $personDays, Setting $setting): ?array
    {
        $starting = $this->starting->of($listed->item['class'] ?? '', $setting);
        if ($starting === null) {
            return null;
        }
        $isRecorded = $personDays > 0;

        return [
            new BlendedRate($starting[0], $this->starting->weight($setting), $isRecorded ? $used->uses : 0, $personDays),
            max($starting[1], $isRecorded ? $used->piecesPerUse() : 1),
        ];
    }

    private static function row(ListedItem $listed, ?BlendedRate $rate, Carried $carried, int $pieces): CarriedItem
    {
        $own = $rate === null || $rate->personDays === 0 ? null : Counted::of($rate->uses);
        $perPersonDays = static fn (BigRational $uses): string => self::rounded($uses->multipliedBy(1000)->dividedBy($rate->personDays ?? 1), 2);
        $chance = $rate === null ? null : Together::chance([[new Poisson($carried->mean), intdiv($carried->par, $pieces)]]);

        return new CarriedItem(
            $listed->line, $listed->need, $listed->rank->value, $listed->item['code'] ?? null,
            $listed->item['name'] ?? null, $listed->item['unit'] ?? 'each',
            $listed->asked->quantity, $carried->list, $rate === null ? 0 : $rate->uses,
            $rate === null ? null : self::rounded($rate->per1000PersonDays(), 2),
            $rate === null ? null : self::rounded($rate->setting, 2),
            $rate === null ? null : (int) self::rounded($rate->ownShare()->multipliedBy(100), 0),
            $own === null ? null : $perPersonDays($own->least), $own === null ? null : $perPersonDays($own->most),
            $pieces, self::rounded($carried->mean, 4), $carried->uses, $carried->par, $listed->measure,
            $carried->from->value, $chance,
        );
    }

    /**
     * People at places of the setting by the assessment that is in force: the one signed last, since each follows the one before it.
     *
     * @param  list<string>  $places
     */
    private function people(array $places): int
    {
        return (int) DB::table('assessment_areas')->join('assessments', 'assessments.id', '=', 'assessment_areas.assessment_id')
            ->whereNotNull('assessments.signed_on')
            ->whereNotExists(static fn ($next) => $next->from('assessments as next')->whereColumn('next.follows_id', 'assessments.id')
                ->whereNotNull('next.signed_on'))
            ->whereExists(static fn ($at) => $at->from('assessment_area_places')
                ->whereColumn('assessment_area_places.assessment_area_id', 'assessment_areas.id')
                ->whereIn('assessment_area_places.place_id', $places))
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
