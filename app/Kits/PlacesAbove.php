<?php

declare(strict_types=1);

namespace App\Kits;

use Illuminate\Support\Facades\DB;

/** Places and what they lie in, up to the site: each read once a request, with all that is above it at once. */
final class PlacesAbove
{
    /** @var array<string, PlaceAbove> by id */
    private array $places = [];

    /** @param  list<string>  $ids */
    public function readAhead(array $ids): void
    {
        $wanted = array_values(array_diff(array_unique($ids), array_keys($this->places)));
        if ($wanted === []) {
            return;
        }
        $marks = implode(', ', array_fill(0, count($wanted), '?'));
        $rows = DB::select(
            "WITH RECURSIVE above (id, parent_id, name, path, walk_order) AS (
                SELECT id, parent_id, name, path, walk_order FROM places WHERE id IN ({$marks})
                UNION DISTINCT SELECT places.id, places.parent_id, places.name, places.path, places.walk_order
                FROM places JOIN above ON places.id = above.parent_id
            ) SELECT id, parent_id, name, path, walk_order FROM above",
            $wanted,
        );
        foreach ($rows as $row) {
            $this->places[$row->id] = new PlaceAbove($row->id, $row->parent_id, $row->name, $row->path, (int) $row->walk_order);
        }
    }

    /** The tree has changed: it is read anew. */
    public function forget(): void
    {
        $this->places = [];
    }

    public function of(string $id): PlaceAbove
    {
        $this->readAhead([$id]);

        return $this->places[$id];
    }

    public function parent(string $id): ?string
    {
        return $this->of($id)->parent;
    }
}
