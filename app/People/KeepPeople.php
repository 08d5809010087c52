<?php

declare(strict_types=1);

namespace App\People;

use App\Judging\KitStates;
use App\People\Models\CoverNeed;
use App\People\Models\FirstAider;
use App\People\Models\Posting;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Kit\Scope;

/** Keeps who is trained to what and posted where, and how many a place asks for. What kits rest on it is judged again. */
final class KeepPeople
{
    public function __construct(private readonly Scopes $scopes, private readonly KitStates $states)
    {
    }

    /**
     * @param  array{
     *     name: string, ended_on: string|null,
     *     qualifications: list<array{scope: string, title: string, expires_on: string|null}>,
     *     postings: list<array{place_id: string, shift: string}>,
     * }  $about
     */
    public function person(string $id, array $about): FirstAider
    {
        return Transaction::run(function () use ($id, $about): FirstAider {
            $person = FirstAider::query()->with('qualifications')->find($id) ?? new FirstAider(['id' => $id]);
            $person->fill(['name' => $about['name'], 'ended_on' => $about['ended_on']])->save();
            $person->qualifications()->delete();
            $person->qualifications()->createMany($about['qualifications']);
            $before = self::posts($person);
            $person->postings()->delete();
            $person->postings()->createMany($about['postings']);
            self::askForThoseWhoLeft($person, $before);
            $this->forget();

            return $person;
        });
    }

    public function remove(FirstAider $person): void
    {
        Transaction::run(function () use ($person): void {
            $person->load('qualifications');
            $before = self::posts($person);
            $person->delete();
            self::askForThoseWhoLeft($person, $before);
            $this->forget();
        });
    }

    /** @param  list<array{shift: string, scope: string, count: int}>  $needs  all that the place asks for */
    public function needs(string $placeId, array $needs): void
    {
        Transaction::run(function () use ($placeId, $needs): void {
            CoverNeed::query()->where('place_id', $placeId)->delete();
            foreach ($needs as $need) {
                CoverNeed::query()->create(['place_id' => $placeId, ...$need]);
            }
            $this->forget();
        });
    }

    /** @return list<array{place_id: string, shift: string}> */
    private static function posts(FirstAider $person): array
    {
        return array_values(
            $person->postings()->get()->map(static fn (Posting $post): array => ['place_id' => $post->place_id, 'shift' => $post->shift])->all(),
        );
    }

    /**
     * A shift at a place to which nobody is posted any more asks for somebody from now on: else it would be forgotten, and what
     * only the one who left could use would count as there again, by another shift or by the scope that was once set by hand.
     *
     * @param  list<array{place_id: string, shift: string}>  $posts
     */
    private static function askForThoseWhoLeft(FirstAider $person, array $posts): void
    {
        $scope = Scope::FirstAider;
        foreach ($person->qualifications as $held) {
            $scope = $held->scope->isAbove($scope) ? $held->scope : $scope;
        }
        foreach ($posts as $post) {
            if (DB::table('postings')->where($post)->doesntExist() && CoverNeed::query()->where($post)->doesntExist()) {
                CoverNeed::query()->create([...$post, 'scope' => $scope->value, 'count' => 1]);
            }
        }
    }

    private function forget(): void
    {
        $this->scopes->forget();
        $this->states->mark();
    }
}
