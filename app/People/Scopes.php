<?php

declare(strict_types=1);

namespace App\People;

use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Places\Nearest;
use Sarcina\Core\Staffing\Cover;
use Sarcina\Core\Staffing\Needed;
use Sarcina\Core\Staffing\Posting;

/** Who is posted where, read once a request, and what follows from it for a place and for the kits in it. */
final class Scopes
{
    /** @var array<string, list<Posting>>|null by place */
    private ?array $postings = null;

    /** @var array<string, list<Needed>> by place */
    private array $needs = [];

    /** @var array<string, array{parent: string|null, name: string}> */
    private array $places = [];

    /** The scope of a kit: what somebody posted to its place may use in every shift; where nobody is, what was set by hand. */
    public function of(Kit $kit, Day $asOf): KitScope
    {
        $place = $this->posted($kit->place_id);
        $cover = $place === null ? null : $this->cover($place, $asOf);
        if ($cover?->scope === null) {
            return new KitScope($kit->scope, 'set by hand: nobody is posted to its place or asked for there', null);
        }

        return new KitScope($cover->scope, "as posted to {$this->place($place)['name']} in every shift", $cover->holdsThrough);
    }

    public function cover(string $placeId, Day $asOf): Cover
    {
        $this->read();

        return Cover::of($asOf, $this->needs[$placeId] ?? [], $this->postings[$placeId] ?? []);
    }

    /** @return list<string> places that ask for somebody or have somebody */
    public function coveredPlaces(): array
    {
        $this->read();

        return array_values(
            array_unique([...array_map(strval(...), array_keys($this->needs)), ...array_map(strval(...), array_keys($this->postings ?? []))]),
        );
    }

    /** Forgets what was read, after people or places changed. */
    public function forget(): void
    {
        $this->postings = null;
        $this->needs = [];
        $this->places = [];
    }

    /** The nearest place, itself or what it lies in, to which somebody is posted or that asks for somebody. */
    private function posted(string $placeId): ?string
    {
        $this->read();
        if ($this->postings === [] && $this->needs === []) {
            return null;
        }

        return Nearest::of(
            $placeId,
            fn (string $at): ?string => $this->place($at)['parent'],
            fn (string $at): bool => isset($this->postings[$at]) || isset($this->needs[$at]),
        );
    }

    /** @return array{parent: string|null, name: string} */
    private function place(string $id): array
    {
        if (! isset($this->places[$id])) {
            /** @var object{parent_id: string|null, name: string} $place */
            $place = DB::table('places')->where('id', $id)->first(['parent_id', 'name']);
            $this->places[$id] = ['parent' => $place->parent_id, 'name' => $place->name];
        }

        return $this->places[$id];
    }

    private function read(): void
    {
        if ($this->postings !== null) {
            return;
        }
        $this->postings = [];
        $rows = DB::table('postings')->join('first_aiders', 'first_aiders.id', '=', 'postings.first_aider_id')
            ->leftJoin('qualifications', 'qualifications.first_aider_id', '=', 'first_aiders.id')
            ->orderBy('postings.id')
            ->get([
                'postings.place_id',
                'postings.shift',
                'postings.first_aider_id',
                'qualifications.scope',
                'qualifications.expires_on',
                'first_aiders.ended_on',
            ]);
        foreach ($rows as $row) {
            // Who stops counts through their last day, as a qualification does.
            $until = array_filter([$row->expires_on, $row->ended_on]);
            $this->postings[$row->place_id][] = new Posting(
                $row->first_aider_id,
                $row->shift,
                Scope::from($row->scope ?? Scope::Anyone->value),
                $until === [] ? null : Day::of(min($until)),
            );
        }
        foreach (DB::table('cover_needs')->orderBy('id')->get() as $need) {
            $this->needs[$need->place_id][] = new Needed($need->shift, Scope::from($need->scope), (int) $need->count);
        }
    }
}
