<?php

declare(strict_types=1);

namespace App\Kits;

use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Stock\Models\Store;
use App\Support\DoneAtTheSameMoment;
use App\Support\Transaction;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The tree of places: adds one, renames it, hangs it elsewhere, puts it in the order in which one walks past, ends its use. */
final class KeepPlaces
{
    private const STEP = 10;

    private const DEEPEST = 8;

    public function __construct(private readonly KitStates $states, private readonly PlacesAbove $above)
    {
    }

    /**
     * @param  string  $id  made by whoever adds it: sent twice, one place is made
     * @param  array{setting?: string|null}  $more  left out: as it was
     */
    public function keep(string $id, string $name, string $kind, ?string $parentId, array $more = []): Place
    {
        return Transaction::run(function () use ($id, $name, $kind, $parentId, $more): Place {
            // Who is posted where follows the tree: what is judged meanwhile is judged again.
            $all = $this->lock();
            $parent = $parentId === null ? null : $all[$parentId] ?? null;
            $this->refuseParent($all, $id, $parent);
            $place = $all[$id] ?? new Place(['id' => $id, 'walk_order' => $this->endOf($all, $parent)]);
            $place->fill(['name' => $name, 'kind' => $kind, 'parent_id' => $parentId, ...$more]);
            $isMoved = $place->exists && $place->isDirty('parent_id');
            $place->path = self::path($place, $parent);
            $this->save($place);
            $this->renamePaths($all, $place);
            $this->above->forget();
            self::followOrder();
            $isMoved ? $this->states->mark() : null;

            return $place;
        });
    }

    /**
     * Adds several places of one kind, numbered from the first free number on: "Vehicle 1", "Vehicle 2".
     *
     * @return list<Place>
     */
    public function addNumbered(string $name, string $kind, int $count, ?string $parentId): array
    {
        return Transaction::run(function () use ($name, $kind, $count, $parentId): array {
            $all = $this->lock();
            $parent = $parentId === null ? null : $all[$parentId] ?? null;
            $taken = array_fill_keys(array_map(static fn (Place $one): string => mb_strtolower($one->path), $all), true);
            $added = [];
            $order = $this->endOf($all, $parent, $count);
            for ($number = 1; count($added) < $count; $number++) {
                $place = new Place(['name' => "{$name} {$number}", 'kind' => $kind, 'parent_id' => $parent?->id, 'walk_order' => $order]);
                $place->path = self::path($place, $parent);
                if (! isset($taken[mb_strtolower($place->path)])) {
                    $this->save($place);
                    $added[] = $place;
                    $order += self::STEP;
                }
            }
            $this->above->forget();
            self::followOrder();

            return $added;
        });
    }

    /** @param  string|null  $afterId  the place that one walks past right before it; null: it is the first */
    public function putAfter(Place $place, ?string $afterId): void
    {
        Transaction::run(function () use ($place, $afterId): void {
            $all = $this->lock();
            $order = array_values(array_filter(array_keys($all), static fn (string $id): bool => $id !== $place->id));
            $at = $afterId === null ? 0 : array_search($afterId, $order, true);
            if ($at === false) {
                throw ValidationException::withMessages(['after' => 'This place is no longer there. Load the page again.']);
            }
            array_splice($order, $afterId === null ? 0 : $at + 1, 0, [$place->id]);
            foreach ($order as $number => $id) {
                if ($all[$id]->walk_order !== ($number + 1) * self::STEP) {
                    $all[$id]->update(['walk_order' => ($number + 1) * self::STEP]);
                }
            }
            self::followOrder();
        });
    }

    /** Kits stand on Today and in lists in the order of their places. */
    private static function followOrder(): void
    {
        DB::statement('UPDATE kit_states JOIN kits ON kits.id = kit_states.kit_id JOIN places ON places.id = kits.place_id
            SET kit_states.walk_order = places.walk_order WHERE kit_states.walk_order <> places.walk_order');
    }

    /** Only where nothing is there any more: what hangs at a place that nobody sees is never checked. */
    public function retire(Place $place, string $day): void
    {
        Transaction::run(function () use ($place, $day): void {
            $all = $this->lock();
            $there = array_filter([
                self::some(Kit::query()->where('place_id', $place->id)->where('retired_on', null)->lockForUpdate()->pluck('code')->all(), 'kits'),
                self::some(Store::query()->where('place_id', $place->id)->where('retired_on', null)->lockForUpdate()->pluck('name')->all(), 'stores'),
                self::some(array_values(array_map(static fn (Place $one): string => $one->name, array_filter(
                    $all, static fn (Place $one): bool => $one->parent_id === $place->id && $one->retired_on === null,
                ))), 'places'),
                DB::table('postings')->where('place_id', $place->id)->exists() ? 'people who are posted there' : null,
            ]);
            if ($there !== []) {
                throw ValidationException::withMessages(['place' => "{$place->name} is still used by ".implode('; ', $there).
                    '. Move these first, or merge the place into another one.']);
            }
            $all[$place->id]->update(['retired_on' => $day]);
        });
    }

    /** @param  array<mixed>  $names */
    private static function some(array $names, string $what): ?string
    {
        $shown = array_slice(array_map(static fn (mixed $name): string => is_scalar($name) ? (string) $name : '', $names), 0, 5);

        return $names === [] ? null : "{$what} (".implode(', ', $shown).(count($names) > 5 ? ', …' : '').')';
    }

    /** @return array<string, Place> all, in walking order: who changes the tree is alone with it */
    private function lock(): array
    {
        return Place::query()->orderBy('walk_order')->orderBy('id')->lockForUpdate()->get()->keyBy('id')->all();
    }

    /** @param  array<string, Place>  $all */
    private function refuseParent(array $all, string $id, ?Place $parent): void
    {
        $depth = 0;
        for ($above = $parent; $above !== null; $above = $all[$above->parent_id ?? ''] ?? null) {
            if ($above->id === $id) {
                throw ValidationException::withMessages(['parent_id' => 'A place does not lie in itself, nor in what lies in it.']);
            }
            if (++$depth > self::DEEPEST) {
                throw ValidationException::withMessages(['parent_id' => 'Places lie in one another '.self::DEEPEST.' deep at the most.']);
            }
        }
        if ($parent?->retired_on !== null) {
            throw ValidationException::withMessages(['parent_id' => "{$parent->name} is no longer used. Choose another place."]);
        }
    }

    /**
     * Makes room for new places after the last one in the same place.
     *
     * @param  array<string, Place>  $all
     */
    private function endOf(array $all, ?Place $parent, int $count = 1): int
    {
        $within = array_filter($all, static fn (Place $one): bool => $parent === null || $one->id === $parent->id || $one->parent_id === $parent->id);
        $last = max([0, ...array_map(static fn (Place $one): int => $one->walk_order, array_values($within))]);
        foreach ($all as $one) {
            if ($one->walk_order > $last) {
                $one->update(['walk_order' => $one->walk_order + $count * self::STEP]);
            }
        }

        return $last + self::STEP;
    }

    private static function path(Place $place, ?Place $parent): string
    {
        // The site is where everything is: it need not be said.
        return $parent === null || $parent->kind === 'site' ? $place->name : "{$parent->path}, {$place->name}";
    }

    /** @param  array<string, Place>  $all */
    private function renamePaths(array $all, Place $of): void
    {
        foreach ($all as $place) {
            if ($place->parent_id === $of->id && $place->id !== $of->id) {
                $place->path = self::path($place, $of);
                if ($place->isDirty('path')) {
                    $this->save($place);
                    $this->renamePaths($all, $place);
                }
            }
        }
    }

    private function save(Place $place): void
    {
        if (mb_strlen($place->path) > 400) {
            throw ValidationException::withMessages(['name' => 'With the places that it lies in, its name is too long. Shorten one of them.']);
        }
        try {
            $place->save();
        } catch (UniqueConstraintViolationException $taken) {
            throw str_contains($taken->getMessage(), 'places_path_unique')
                ? ValidationException::withMessages([
                    'name' => "There is a place called \"{$place->path}\" already. Name it so that the two can be told apart.",
                ])
                : new DoneAtTheSameMoment;
        }
    }
}
