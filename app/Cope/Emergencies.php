<?php

declare(strict_types=1);

namespace App\Cope;

use App\Cope\Models\Emergency;
use App\Lists\EntryContent;
use Illuminate\Support\Facades\DB;

/** The kinds of emergency that are kept, with the needs of each, read in four queries. */
final class Emergencies
{
    /** @return list<array{Emergency, EmergencyContent}> in their order */
    public function all(): array
    {
        $rows = Emergency::query()->with('confirmedBy')->orderBy('position')->orderBy('code')->get();
        $limits = [];
        foreach (DB::table('emergency_limits')->orderBy('id')->get() as $row) {
            $limits[$row->emergency_entry_id][$row->is_maximum ? 'max' : 'min'][$row->measure] = $row->quantity;
        }
        $accepts = [];
        $entries = DB::table('emergency_entries')->leftJoin('items', 'items.id', '=', 'emergency_entries.item_id')
            ->orderBy('emergency_entries.position')->get(['emergency_entries.*', 'items.code as item_code']);
        foreach ($entries as $row) {
            $accepts[$row->emergency_need_id][] = new EntryContent(
                $row->item_code, $row->class, $limits[$row->id]['min'] ?? [], $limits[$row->id]['max'] ?? [],
            );
        }
        $needs = [];
        foreach (DB::table('emergency_needs')->orderBy('position')->get() as $row) {
            $needs[$row->emergency_id][] = new NeedContent(
                $row->code, $row->title, (int) $row->quantity, (bool) $row->is_reusable, $accepts[$row->id] ?? [],
            );
        }

        return array_values($rows->map(static fn (Emergency $one): array => [
            $one, new EmergencyContent($one->title, $one->scope, $one->basis, $needs[$one->id] ?? [], $one->helpers),
        ])->all());
    }
}
