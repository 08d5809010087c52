<?php

declare(strict_types=1);

namespace App\People;

use App\Kits\Models\Kit;
use App\Kits\PlacesAbove;
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

    public function __construct(private readonly PlacesAbove $places)
    {
    }

    /** What those who have a kit may use, in each shift of its place; where nobody is posted or asked for, what was set by hand. */
    public function of(Kit $kit, Day $asOf): KitScope
    {
        $place = $this->posted($kit->place_id);
        $cover = $place === null ? null : $this->cover($place, $asOf);
        if ($cover?->scope === null) {
            return new KitScope($kit->scope, [], null, null);
        }

        return new KitScope($cover->scope, $cover->scopes, $this->places->of($place)->name, $cover->holdsThrough);
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
            $this->places->parent(...),
            fn (string $at): bool => isset($this->postings[$at]) || isset($this->needs[$at]),
        );
    }

    private function read(): void
    {
        if ($this->postings !== null) {
            return;
        }
        $this->postings = [];
        $needed = DB::table('cover_needs')->select([
            'place_id', 'shift', DB::raw('NULL AS first_aider_id'), 'scope', DB::raw('NULL AS expires_on'), DB::raw('NULL AS ended_on'),
            'count', 'id',
        ]);
        $rows = DB::table('postings')->join('first_aiders', 'first_aiders.id', '=', 'postings.first_aider_id')
            ->leftJoin('qualifications', 'qualifications.first_aider_id', '=', 'first_aiders.id')
            ->select([
                'postings.place_id', 'postings.shift', 'postings.first_aider_id', 'qualifications.scope', 'qualifications.expires_on',
                'first_aiders.ended_on', DB::raw('NULL AS count'), 'postings.id',
            ])
            ->unionAll($needed)->orderBy('id')->get();
        foreach ($rows as $row) {
            if ($row->count !== null) {
                $this->needs[$row->place_id][] = new Needed($row->shift, Scope::from($row->scope), (int) $row->count);

                continue;
            }
            // Who stops counts through their last day, as a qualification does.
            $until = array_filter([$row->expires_on, $row->ended_on]);
            $this->postings[$row->place_id][] = new Posting(
                $row->first_aider_id,
                $row->shift,
                Scope::from($row->scope ?? Scope::Anyone->value),
                $until === [] ? null : Day::of(min($until)),
            );
        }
    }
}
