<?php

declare(strict_types=1);

namespace App\Reports;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;

/**
 * The second code on a kit's label: whoever reads it says what was used, and needs no account. Kept as a hash, so it is shown once, when
 * it is made; a new one takes the place of the one before it.
 */
final class ReportCodes
{
    private const BYTES = 16;

    /** @return string the token, which is in the code on the label alone from now on */
    public function make(Kit $kit, User $by, CarbonInterface $at): string
    {
        $token = rtrim(strtr(base64_encode(random_bytes(self::BYTES)), '+/', '-_'), '=');
        Transaction::run(function () use ($kit, $by, $at, $token): void {
            $kit = Kit::locked($kit->id);
            $kit->refuseRetired();
            $this->withdraw($kit, $by, $at);
            DB::table('report_codes')->insert([
                'id' => Str::lower((string) Str::ulid()), 'kit_id' => $kit->id, 'hash' => self::hash($token), 'made_by_id' => $by->id,
                'made_at' => KitHistory::instant($at),
            ]);
        });

        return $token;
    }

    public function withdraw(Kit $kit, User $by, CarbonInterface $at): void
    {
        DB::table('report_codes')->where('kit_id', $kit->id)->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => KitHistory::instant($at), 'withdrawn_by_id' => $by->id]);
    }

    /** @return stdClass|null its `id` and `kit_id`; null where no kit in service has it */
    public function find(string $token): ?stdClass
    {
        return DB::table('report_codes')->join('kits', 'kits.id', '=', 'report_codes.kit_id')->where('hash', self::hash($token))
            ->whereNull('withdrawn_at')->whereNull('kits.retired_on')->first(['report_codes.id', 'report_codes.kit_id']);
    }

    /** @return stdClass|null `made_at` and the `name` of who made it; null where the kit has none */
    public function of(Kit $kit): ?stdClass
    {
        return DB::table('report_codes')->join('users', 'users.id', '=', 'report_codes.made_by_id')->where('kit_id', $kit->id)
            ->whereNull('withdrawn_at')->first(['made_at', 'users.name']);
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
