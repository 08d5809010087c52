<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Judging\Scopes;
use App\Models\CoverNeed;
use App\Models\FirstAider;
use Illuminate\Support\Facades\DB;

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
            $person = FirstAider::query()->find($id) ?? new FirstAider(['id' => $id]);
            $person->fill(['name' => $about['name'], 'ended_on' => $about['ended_on']])->save();
            $person->qualifications()->delete();
            $person->qualifications()->createMany($about['qualifications']);
            $person->postings()->delete();
            $person->postings()->createMany($about['postings']);
            $this->forget();

            return $person;
        });
    }

    public function remove(FirstAider $person): void
    {
        DB::transaction(function () use ($person): void {
            $person->delete();
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

    private function forget(): void
    {
        $this->scopes->forget();
        $this->states->doubt();
    }
}
