<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/**
 * The key by which a person's work is locked on one device: the same at each sign-in there, and another one on each device. It is worked
 * out from the instance's own key, so that after a restore from a backup that is older than the device its work opens all the same.
 */
final class DeviceKeys
{
    /** More devices than anybody has: who asks for more loses the use of the oldest. */
    private const MOST = 50;

    /** @param  string  $device  a ULID that the device made */
    public function of(User $user, string $device): string
    {
        $where = ['user_id' => $user->id, 'device_id' => $device];
        $made = DB::table('device_keys')->insertOrIgnore([
            ...$where, 'secret' => Crypt::encryptString(self::worked($user, $device)), 'made_at' => now()->utc(),
        ]);
        if ($made === 1 && DB::table('device_keys')->where('user_id', $user->id)->count() > self::MOST) {
            DB::table('device_keys')->where('user_id', $user->id)->orderBy('made_at')->orderBy('device_id')->limit(1)->delete();
        }

        return Crypt::decryptString((string) DB::table('device_keys')->where($where)->value('secret'));
    }

    private static function worked(User $user, string $device): string
    {
        return base64_encode(hash_hmac('sha256', "sarcina.device-key-1\n{$user->id}\n{$device}", config()->string('app.key'), true));
    }
}
