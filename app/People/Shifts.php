<?php

declare(strict_types=1);

namespace App\People;

use App\Accounts\Models\Organisation;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Staffing\Shift;
use stdClass;

/** The shifts in which people serve. */
final class Shifts
{
    public function __construct(private readonly Organisation $organisation)
    {
    }

    /** @return list<Shift> */
    public function all(): array
    {
        return array_values(DB::table('shifts')->orderBy('position')->get()->map(static fn (stdClass $row): Shift => new Shift(
            $row->name,
            self::weekdays((int) $row->weekdays),
            self::minutes($row->starts_at),
            self::minutes($row->ends_at),
        ))->all());
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(static fn (Shift $shift): string => $shift->name, $this->all());
    }

    /** @return list<string> those that are on at that moment, by the clock where the kits are */
    public function on(CarbonInterface $at): array
    {
        $there = $at->copy()->setTimezone($this->organisation->time_zone);
        $day = Day::of($there->toDateString());
        $minute = $there->hour * 60 + $there->minute;

        return array_values(array_map(
            static fn (Shift $shift): string => $shift->name,
            array_filter($this->all(), static fn (Shift $shift): bool => $shift->isOn($day, $minute)),
        ));
    }

    /** "22:30" */
    public static function time(int $minutes): string
    {
        return sprintf('%02d:%02d', intdiv($minutes, 60), $minutes % 60);
    }

    /** @param  string  $time  "22:30", or with seconds */
    public static function minutes(string $time): int
    {
        return (int) substr($time, 0, 2) * 60 + (int) substr($time, 3, 2);
    }

    /** @param  list<int>  $weekdays  1 Monday to 7 Sunday */
    public static function asBits(array $weekdays): int
    {
        return array_sum(array_map(static fn (int $day): int => 1 << ($day - 1), array_unique($weekdays)));
    }

    /** @return list<int> */
    private static function weekdays(int $bits): array
    {
        return array_values(array_filter(range(1, 7), static fn (int $day): bool => ($bits >> ($day - 1) & 1) === 1));
    }
}
