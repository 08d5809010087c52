<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Stock\Models\Store;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** One place becomes part of another: what hangs, lies and is posted there follows; signed assessments keep it as they were signed. */
final class MergePlaces
{
    private const MOST_KITS = 200;

    public function __construct(private readonly ChangeKit $change, private readonly KitStates $states, private readonly KeepPlaces $places)
    {
    }

    public function __invoke(Place $from, Place $into, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($from, $into, $by, $at, $day): void {
            $locked = Place::query()->whereIn('id', [$from->id, $into->id])->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            [$from, $into] = [$locked[$from->id], $locked[$into->id]];
            self::refuse($from, $into);
            $kits = Kit::byThemselves()->where('place_id', $from->id)->orderBy('id')->limit(self::MOST_KITS + 1)->get();
            if ($kits->count() > self::MOST_KITS) {
                throw ValidationException::withMessages(['into' => 'More than '.self::MOST_KITS.' kits are there. Move some of them first.']);
            }
            foreach ($kits as $kit) {
                $this->change->move($kit, $into, $by, $at, $day);
            }
            Store::query()->where('place_id', $from->id)->update(['place_id' => $into->id]);
            $this->people($from->id, $into->id);
            $this->areas($from->id, $into->id);
            foreach (Place::query()->where('parent_id', $from->id)->orderBy('id')->get() as $child) {
                $this->places->keep($child->id, $child->name, $child->kind, $into->id);
            }
            $this->states->mark();
            $this->places->retire($from, $day);
        });
    }

    private static function refuse(Place $from, Place $into): void
    {
        if ($from->id === $into->id) {
            throw ValidationException::withMessages(['into' => 'Choose another place than this one.']);
        }
        if ($into->retired_on !== null) {
            throw ValidationException::withMessages(['into' => "{$into->name} is no longer used. Choose another place."]);
        }
        for ($above = $into; $above !== null; $above = $above->parent_id === null ? null : Place::query()->find($above->parent_id)) {
            if ($above->parent_id === $from->id) {
                throw ValidationException::withMessages(['into' => "{$into->name} lies in {$from->name}. Hang it elsewhere first."]);
            }
        }
    }

    /** Who is posted to both is posted once; where both ask for people, the greater number holds. */
    private function people(string $from, string $into): void
    {
        foreach (DB::table('postings')->where('place_id', $from)->get() as $posting) {
            $isThere = DB::table('postings')->where('place_id', $into)->where('first_aider_id', $posting->first_aider_id)
                ->where('shift', $posting->shift)->exists();
            $own = DB::table('postings')->where('id', $posting->id);
            $isThere ? $own->delete() : $own->update(['place_id' => $into]);
        }
        foreach (DB::table('cover_needs')->where('place_id', $from)->get() as $need) {
            $there = DB::table('cover_needs')->where('place_id', $into)->where('shift', $need->shift)->where('scope', $need->scope)->first();
            $own = DB::table('cover_needs')->where('id', $need->id);
            if ($there === null) {
                $own->update(['place_id' => $into]);
            } else {
                DB::table('cover_needs')->where('id', $there->id)->update(['count' => max((int) $there->count, (int) $need->count)]);
                $own->delete();
            }
        }
    }

    private function areas(string $from, string $into): void
    {
        $open = DB::table('assessment_areas')->join('assessments', 'assessments.id', '=', 'assessment_areas.assessment_id')
            ->whereNull('assessments.signed_on')->pluck('assessment_areas.id')->all();
        foreach (DB::table('assessment_area_places')->where('place_id', $from)->whereIn('assessment_area_id', $open)->get() as $row) {
            $isThere = DB::table('assessment_area_places')->where('assessment_area_id', $row->assessment_area_id)->where('place_id', $into)->exists();
            $own = DB::table('assessment_area_places')->where('id', $row->id);
            $isThere ? $own->delete() : $own->update(['place_id' => $into]);
        }
    }
}
