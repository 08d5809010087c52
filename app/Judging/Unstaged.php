<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use App\Ledger\Location;
use Illuminate\Support\Facades\DB;

/** What lies in kits and is not staged, where the organisation asks for that. Asked only for kits that say so themselves. */
final class Unstaged
{
    /**
     * What was used or moved elsewhere meanwhile is not there to be staged; what only changed its pocket is.
     *
     * @param  list<Kit>  $parts  the kit that is judged, and the modules in it
     * @param  list<ContentRow>  $rows  what is in it, as it is judged
     * @return list<NotStaged> by name
     */
    public function of(Kit $kit, array $parts, array $rows): array
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
        $there = [];
        foreach ($rows as $row) {
            $at = Location::pocket($kit->id, $row->pocketId);
            $there["{$at->kitId} {$row->itemCode}"][(string) $at->pocketId] = true;
        }
        $said = DB::table('unstaged')->join('items', 'items.id', '=', 'unstaged.item_id')->whereIn('unstaged.kit_id', $ids)
            // As it stands in the snapshot that is judged: a setting read before it may have been changed since.
            ->whereExists(static fn ($asked) => $asked->from('organisations')->where('asks_staging', true))
            ->orderBy('items.name')->orderBy('unstaged.pocket')
            ->get(['items.code', 'items.name', 'unstaged.kit_id', 'unstaged.pocket_id', 'unstaged.pocket', 'unstaged.task']);
        $found = [];
        foreach ($said as $row) {
            $pockets = $there["{$row->kit_id} {$row->code}"] ?? [];
            if ($pockets !== []) {
                $pocket = isset($pockets[$row->pocket_id]) ? $row->pocket : 'another pocket';
                $found[] = new NotStaged($row->kit_id, $row->code, $row->name, $pocket, $row->task);
            }
        }

        return $found;
    }
}
