<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/** A code from an authenticator app beside the password; recovery codes for when the app is gone, each used once. */
final class SecondFactor
{
    private const RECOVERY_CODES = 10;

    public static function isSetUp(User $user): bool
    {
        return $user->factor_secret !== null;
    }

    /**
     * Whether the code is good: of the app, and later than the one used last, or a recovery code that was not used yet. It is used by this.
     */
    public function accepts(User $user, string $code, CarbonInterface $at): bool
    {
        return Transaction::run(function () use ($user, $code, $at): bool {
            $user = User::query()->where('id', $user->id)->lockForUpdate()->firstOrFail();
            if ($user->factor_secret === null) {
                return false;
            }
            $digits = (string) preg_replace('/\s+/', '', $code);
            $step = Totp::stepOf(Crypt::decryptString($user->factor_secret), $digits, (int) $at->timestamp, $user->factor_used_step);
            if ($step !== null) {
                $user->forceFill(['factor_used_step' => $step])->save();

                return true;
            }
            $hash = self::hash($user, $digits);

            return DB::table('recovery_codes')->where('user_id', $user->id)->where('hash', $hash)->whereNull('used_at')
                ->update(['used_at' => $at->copy()->utc()->format('Y-m-d H:i:s')]) === 1;
        });
    }

    /**
     * Sets it up with a secret that the app has, which a first code shows.
     *
     * @return list<string>|null recovery codes, shown once; null where the code is wrong
     */
    public function setUp(User $user, string $secret, string $code, CarbonInterface $at): ?array
    {
        $step = Totp::stepOf($secret, (string) preg_replace('/\s+/', '', $code), (int) $at->timestamp, null);
        if ($step === null) {
            return null;
        }

        return Transaction::run(function () use ($user, $secret, $step): array {
            $user = User::query()->where('id', $user->id)->lockForUpdate()->firstOrFail();
            $user->forceFill(['factor_secret' => Crypt::encryptString($secret), 'factor_used_step' => $step])->save();

            return $this->newCodes($user);
        });
    }

    /** Says whether the app that has this secret shows the code now; nothing is used up by it. */
    public static function isCodeOf(string $secret, string $code, CarbonInterface $at): bool
    {
        return Totp::stepOf($secret, (string) preg_replace('/\s+/', '', $code), (int) $at->timestamp, null) !== null;
    }

    public function remove(User $user): void
    {
        Transaction::run(static function () use ($user): void {
            $user->forceFill(['factor_secret' => null, 'factor_used_step' => null])->save();
            DB::table('recovery_codes')->where('user_id', $user->id)->delete();
        });
    }

    public static function codesLeft(User $user): int
    {
        return DB::table('recovery_codes')->where('user_id', $user->id)->whereNull('used_at')->count();
    }

    /** @return list<string> */
    private function newCodes(User $user): array
    {
        DB::table('recovery_codes')->where('user_id', $user->id)->delete();
        $codes = array_map(static fn (): string => strtolower(Totp::encode(random_bytes(5)).'-'.Totp::encode(random_bytes(5))), range(1,
            self::RECOVERY_CODES));
        DB::table('recovery_codes')->insert(array_map(static fn (string $code): array => ['user_id' => $user->id, 'hash' => self::hash($user,
            $code)], $codes));

        return $codes;
    }

    private static function hash(User $user, string $code): string
    {
        return hash_hmac('sha256', $user->id.' '.strtolower($code), config()->string('app.key'));
    }
}
