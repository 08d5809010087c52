<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\User;
use App\Designs\Models\Design;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps that an item was left behind and then missed, for whoever thinks of leaving it out again. It changes no verdict. */
final class KeepMissed
{
    /** More than that of one item are read by nobody. */
    private const MOST = 5;

    /** Sent twice, it is noted once. */
    public function note(Design $design, string $id, string $item, string $leftOn, string $note, User $by, string $today): void
    {
        Transaction::run(function () use ($design, $id, $item, $leftOn, $note, $by, $today): void {
            Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $known = DB::table('missed_items')->where('id', $id)->value('design_id');
            if ($known !== null && $known !== $design->id) {
                throw ValidationException::withMessages(['note' => 'This remark belongs to another design. Open the page again.']);
            }
            if ($known !== null) {
                return;
            }
            $itemId = DB::table('items')->where('code', $item)->value('id');
            if (DB::table('missed_items')->where('design_id', $design->id)->where('item_id', $itemId)->count() >= self::MOST) {
                throw ValidationException::withMessages(['note' => 'There are '.self::MOST.' remarks about it already. Remove one first.']);
            }
            DB::table('missed_items')->insert([
                'id' => $id, 'design_id' => $design->id, 'item_id' => $itemId, 'left_on' => $leftOn, 'note' => $note, 'user_id' => $by->id,
                'noted_on' => $today,
            ]);
        });
    }

    public function remove(Design $design, string $id): void
    {
        DB::table('missed_items')->where('design_id', $design->id)->where('id', $id)->delete();
    }
}
