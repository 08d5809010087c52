<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Http\OpenSession;
use App\Accounts\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Where somebody is signed in, and how that is ended. A session is named by a hash: its own id would let whoever reads it in. */
final class UserSessions
{
    /** @return list<OpenSession> latest first */
    public function of(User $user, string $currentId): array
    {
        $rows = DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->limit(50)->get(['id', 'ip_address',
            'user_agent', 'last_activity']);

        return array_values($rows->map(static fn (stdClass $row): OpenSession => new OpenSession(
            self::handle($row->id), self::device((string) $row->user_agent), (string) $row->ip_address,
            CarbonImmutable::createFromTimestampUTC((int) $row->last_activity)->toIso8601ZuluString(), $row->id === $currentId,
        ))->all());
    }

    public function end(User $user, string $handle): void
    {
        foreach (DB::table('sessions')->where('user_id', $user->id)->pluck('id') as $id) {
            if (is_string($id) && hash_equals(self::handle($id), $handle)) {
                DB::table('sessions')->where('id', $id)->delete();
            }
        }
    }

    /** @param  string|null  $but  the session that goes on */
    public function endAll(User $user, ?string $but = null): void
    {
        DB::table('sessions')->where('user_id', $user->id)->when($but !== null, static fn ($query) => $query->where('id', '!=', $but))->delete();
    }

    private static function handle(string $id): string
    {
        return substr(hash('sha256', $id), 0, 32);
    }

    /** "Firefox on Android", as far as the browser says. */
    private static function device(string $agent): string
    {
        $browser = match (true) {
            str_contains($agent, 'Firefox/') => 'Firefox',
            str_contains($agent, 'Edg/') => 'Edge',
            str_contains($agent, 'Chrome/') => 'Chrome or Chromium',
            str_contains($agent, 'Safari/') => 'Safari',
            default => 'A browser',
        };
        $system = match (true) {
            str_contains($agent, 'Android') => 'Android',
            str_contains($agent, 'iPhone'), str_contains($agent, 'iPad') => 'iOS',
            str_contains($agent, 'Windows') => 'Windows',
            str_contains($agent, 'Mac OS') => 'macOS',
            str_contains($agent, 'Linux') => 'Linux',
            default => 'a device',
        };

        return "{$browser} on {$system}";
    }
}
