<?php

declare(strict_types=1);

namespace App\People;

use App\Assess\Http\AskResource;
use App\Assess\Models\Assessment;
use App\Assess\ReadAssessments;
use App\Judging\Words;
use App\Kits\Http\PlaceRef;
use App\Kits\PlaceAbove;
use App\Kits\PlacesAbove;
use App\People\Http\ShiftCover;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;

/** How many first aiders each place asks for and has, by shift; and what asks for the planner's attention. No name is said here. */
final class ReadCover
{
    /** A qualification that expires within this many days is said, so that a course can be booked. */
    private const SOON_DAYS = 60;

    public function __construct(private readonly Scopes $scopes, private readonly PlacesAbove $places)
    {
    }

    /** @return list<ShiftCover> */
    public function all(string $today): array
    {
        return $this->ofPlaces($this->scopes->coveredPlaces(), $today);
    }

    /**
     * @param  list<string>  $placeIds  those that ask for nobody are left out
     * @return list<ShiftCover>
     */
    public function ofPlaces(array $placeIds, string $today): array
    {
        $cover = [];
        $covered = array_values(array_intersect($placeIds, $this->scopes->coveredPlaces()));
        $this->places->readAhead($this->scopes->coveredPlaces());
        $places = array_map($this->places->of(...), $covered);
        usort($places, static fn (PlaceAbove $one, PlaceAbove $other): int => $one->walkOrder <=> $other->walkOrder);
        foreach ($places as $place) {
            foreach ($this->scopes->cover($place->id, Day::of($today))->shifts as $shift) {
                $cover[] = new ShiftCover(
                    new PlaceRef($place->id, $place->name, $place->path),
                    $shift['needed']->shift,
                    $shift['needed']->scope->value,
                    $shift['needed']->count,
                    $shift['there'],
                );
            }
        }

        return $cover;
    }

    /** @return list<AskResource> */
    public function asks(string $today): array
    {
        $asks = [];
        foreach (Assessment::query()->with('areas.changesSeen')->whereNotNull('signed_on')->get() as $assessment) {
            foreach (ReadAssessments::asksAgain($assessment, $today) as $text) {
                $asks[] = new AskResource('assessment', "{$assessment->title}: {$text}", "/assess/{$assessment->id}");
            }
        }
        foreach ($this->all($today) as $shift) {
            if ($shift->there < $shift->needed) {
                $asks[] = new AskResource(
                    'cover',
                    "{$shift->place->path}, {$shift->shift} shift: {$shift->there} of {$shift->needed} ".
                        self::trained($shift->scope).
                        ' posted.',
                    '/assess/people',
                );
            }
        }
        $soon = CarbonImmutable::parse($today)->addDays(self::SOON_DAYS)->toDateString();
        $days = DB::table('qualifications')
            ->join('first_aiders', 'first_aiders.id', '=', 'qualifications.first_aider_id')
            ->whereNull('first_aiders.ended_on')
            ->whereBetween('qualifications.expires_on', [$today, $soon])
            ->orderBy('qualifications.expires_on')
            ->pluck('qualifications.expires_on');
        if ($days->isNotEmpty()) {
            $asks[] = new AskResource(
                'qualification',
                Words::number($days->count(), 'qualification').
                    ' of first aiders '.
                    ($days->count() === 1 ? 'expires' : 'expire').
                    ' within '.
                    self::SOON_DAYS.
                    ' days, the first on '.
                    Words::date((string) $days->first()).
                    '.',
                '/assess/people',
            );
        }

        return $asks;
    }

    private static function trained(string $scope): string
    {
        return match ($scope) {
            'first_aider' => 'first aiders',
            'trained' => 'people with special training',
            'clinician' => 'clinicians',
            default => 'people',
        };
    }
}
