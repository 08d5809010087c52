<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Judging\Scopes;
use App\Models\CoverNeed;
use App\Models\FirstAider;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Kit\Scope;

/** Keeps who is trained to what and posted where, and how many a place asks for. What kits rest on it is judged again. */
final class KeepPeople
{
    public function __construct(private readonly Scopes $scopes, private readonly KitStates $states)
    {
    }

    /** @param  array{name: string, ended_on: string|null, qualifications: list<array{scope: string, title: string, expires_on: string|null}>, postings: list<array{place_id: string, shift: string}>}  $about */
    public function person(string $id, array $about): FirstAider
    {
        return DB::transaction(function () use ($id, $about): FirstAider {
            $person = FirstAider::query()->with('qualifications')->find($id) ?? new FirstAider(['id' => $id]);
            $person->fill(['name' => $about['name'], 'ended_on' => $about['ended_on']])->save();
            $person->qualifications()->delete();
            $person->qualifications()->createMany($about['qualifications']);
            $before = self::places($person);
            $person->postings()->delete();
            $person->postings()->createMany($about['postings']);
            self::askForThoseWhoLeft($person, $before);
            $this->forget();

            return $person;
        });
    }

    public function remove(FirstAider $person): void
    {
        DB::transaction(function () use ($person): void {
            $person->load('qualifications');
            $before = self::places($person);
            $person->delete();
            self::askForThoseWhoLeft($person, $before);
            $this->forget();
        });
    }

    /** @param  list<array{shift: string, scope: string, count: int}>  $needs  all that the place asks for */
    public function needs(string $placeId, array $needs): void
    {
        DB::transaction(function () use ($placeId, $needs): void {
            CoverNeed::query()->where('place_id', $placeId)->delete();
            foreach ($needs as $need) {
                CoverNeed::query()->create(['place_id' => $placeId, ...$need]);
            }
            $this->forget();
        });
    }

    /** @return array<string, string> the shift of each posting, by place */
    private static function places(FirstAider $person): array
    {
        return $person->postings()->pluck('shift', 'place_id')->all();
    }

    /**
     * A place that nobody is posted to any more asks for somebody from now on: else what only the one who left could use
     * would count as there again, by the scope that was once set by hand.
     *
     * @param  array<string, string>  $places
     */
    private static function askForThoseWhoLeft(FirstAider $person, array $places): void
    {
        $scope = Scope::FirstAider;
        foreach ($person->qualifications as $held) {
            $scope = Scope::from($held->scope)->isAbove($scope) ? Scope::from($held->scope) : $scope;
        }
        foreach ($places as $place => $shift) {
            if (DB::table('postings')->where('place_id', $place)->doesntExist() && CoverNeed::query()->where('place_id', $place)->doesntExist()) {
                CoverNeed::query()->create(['place_id' => $place, 'shift' => $shift, 'scope' => $scope->value, 'count' => 1]);
            }
        }
    }

    private function forget(): void
    {
        $this->scopes->forget();
        $this->states->doubt();
    }
}
