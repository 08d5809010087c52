<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\Organisation;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;

/** The code by which whoever runs the instance sets the organisation up: once, within 24 hours, and not by guessing. */
final class SetupCode
{
    private const HOURS = 24;

    private const TRIES = 20;

    public static function isOpen(): bool
    {
        return ! Organisation::query()->exists();
    }

    /** A new one; those before it are no longer good. */
    public function make(CarbonInterface $at): string
    {
        $code = implode('-', str_split(substr(Totp::encode(random_bytes(10)), 0, 16), 4));
        DB::table('setup_codes')->delete();
        DB::table('setup_codes')->insert(['hash' => self::hash($code), 'until' => $at->copy()->addHours(self::HOURS)->utc()->format('Y-m-d H:i:s')]);

        return $code;
    }

    /** Whether it is the code; a wrong one counts as a try. */
    public function accepts(string $code, CarbonInterface $at): bool
    {
        $row = DB::table('setup_codes')->where('until', '>', $at->copy()->utc()->format('Y-m-d H:i:s'))->where('tries', '<', self::TRIES)->first();
        if ($row === null) {
            return false;
        }
        $isRight = hash_equals($row->hash, self::hash($code));
        $isRight ? null : DB::table('setup_codes')->where('id', $row->id)->increment('tries');

        return $isRight;
    }

    public function close(): void
    {
        DB::table('setup_codes')->delete();
    }

    private static function hash(string $code): string
    {
        return hash('sha256', strtoupper((string) preg_replace('/[^A-Za-z0-9]+/', '', $code)));
    }
}
