<?php

declare(strict_types=1);

namespace App\Designs;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Which kits rest on lists and editions of designs: those that keep them, and those of which a slot asks for a module that does. */
final class KitsKeeping
{
    /**
     * @param  array<array-key, mixed>  $lists  ids
     * @param  array<array-key, mixed>  $editions  ids of editions of designs
     * @return list<string> ids of kits and modules
     */
    public static function any(array $lists, array $editions = []): array
    {
        $keeping = static fn (string $column): Builder => DB::table('design_editions')
            ->where(fn (Builder $query) => $query->whereIn('list_id', $lists)->orWhereIn('id', $editions))->select($column);
        $slots = DB::table('compartments')->whereIn('slot_design_id', $keeping('design_id'))->select('design_edition_id');

        return array_values(array_map(strval(...), DB::table('kits')->whereIn('design_edition_id', $keeping('id'))
            ->union(DB::table('kits')->whereIn('design_edition_id', $slots)->select('id'))
            ->select('id')->pluck('id')->all()));
    }
}
