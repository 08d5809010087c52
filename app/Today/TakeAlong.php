<?php

declare(strict_types=1);

namespace App\Today;

use App\Accounts\Models\User;
use Illuminate\Support\Facades\DB;

/** Lists what a person takes along to work without a network: their kits, all places, and the restock rounds that are open. */
final class TakeAlong
{
    /** More kits than anybody answers for; it keeps the copying short. */
    private const KITS = 200;

    private const ROUNDS = 20;

    /** @return list<string> addresses of this API */
    public function of(User $user): array
    {
        $given = DB::table('kit_tasks')->where('user_id', $user->id)->where('state', 'open')->select('kit_id');
        $kits = DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')
            ->where(static fn ($any) => $any->where('responsible_id', $user->id)->orWhere('deputy_id', $user->id)->orWhereIn('id', $given))
            ->orderBy('code')->limit(self::KITS)->pluck('code')->map(strval(...))->all();
        $rounds = DB::table('restock_rounds')->whereNull('ended_at')->orderBy('id')->limit(self::ROUNDS)->pluck('id')->map(strval(...))->all();
        // As the page asks for them, with the same query: a copy is found by its whole address.
        $addresses = ['/api/today?page=1', '/api/today?page=1&whose=mine', '/api/kits?page=1', '/api/places?q=&page=1'];
        foreach ($kits as $code) {
            array_push($addresses, "/api/kits/{$code}", ...($user->role->keeps() ? ["/api/kits/{$code}/restock"] : []));
        }
        foreach ($user->role->keeps() ? $rounds : [] as $id) {
            $addresses[] = "/api/rounds/{$id}";
        }

        return $addresses;
    }
}
