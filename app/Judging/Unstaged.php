<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What lies in kits and is not staged, where the organisation asks for that. Asked only for kits that say so themselves. */
final class Unstaged
{
    /**
     * @param  list<Kit>  $parts  the kit that is judged, and the modules in it
     * @return list<NotStaged> by name
     */
    public function of(array $parts): array
    {
        $ids = [];
        foreach ($parts as $one) {
            if ($one->not_staged > 0) {
                $ids[] = $one->id;
            }
        }
        if ($ids === []) {
            return [];
        }
        // What was used or moved meanwhile is not there to be staged.
        $rows = DB::table('unstaged')->join('items', 'items.id', '=', 'unstaged.item_id')->whereIn('unstaged.kit_id', $ids)
            // As it stands in the snapshot that is judged: a setting read before it may have been changed since.
            ->whereExists(static fn ($asked) => $asked->from('organisations')->where('asks_staging', true))
            ->whereExists(static fn ($there) => $there->from('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
                ->whereColumn('holdings.kit_id', 'unstaged.kit_id')->whereColumn('holdings.pocket_id', 'unstaged.pocket_id')
                ->whereColumn('lots.item_id', 'unstaged.item_id')->where('holdings.quantity', '>', 0))
            ->orderBy('items.name')->orderBy('unstaged.pocket')->get(['items.code', 'items.name', 'unstaged.pocket', 'unstaged.task']);

        return array_values($rows->map(
            static fn (stdClass $row): NotStaged => new NotStaged($row->code, $row->name, $row->pocket, $row->task),
        )->all());
    }
}
