<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Links that are used once: an invitation to an account, and a password to be set anew. Kept as hashes; whoever has the link has it. */
final class AccountLinks
{
    public const INVITATION_DAYS = 7;

    public const PASSWORD_HOURS = 2;

    /** A new link does not void one younger than this. */
    public const KEPT_MINUTES = 5;

    public function __construct(private readonly Organisation $organisation)
    {
    }

    /** @return string the secret part of the link */
    public function invite(string $name, string $email, Role $role, User $by, CarbonInterface $at): string
    {
        // A newer invitation to the same address takes the place of an older one.
        DB::table('account_links')->where('email', $email)->whereNull('used_at')->update(['withdrawn_at' => self::instant($at)]);

        return $this->make('invitation', $at, $at->copy()->addDays(self::INVITATION_DAYS), [
            'name' => $name, 'email' => $email, 'role' => $role->value, 'made_by_id' => $by->id,
        ]);
    }

    public function forPassword(User $user, ?User $by, CarbonInterface $at): string
    {
        // Anybody can ask for a link to an account: that must not void the link that its owner received a moment ago.
        DB::table('account_links')->where('user_id', $user->id)->whereNull('used_at')
            ->where('made_at', '<=', self::instant($at->copy()->subMinutes(self::KEPT_MINUTES)))->update(['withdrawn_at' => self::instant($at)]);

        return $this->make('password', $at, $at->copy()->addHours(self::PASSWORD_HOURS), ['user_id' => $user->id, 'made_by_id' => $by?->id]);
    }

    /** @return AccountLink|null null where it was used, withdrawn, has ended or never was */
    public function find(string $secret, CarbonInterface $at, bool $toUse = false): ?AccountLink
    {
        $row = DB::table('account_links')->where('hash', hash('sha256', $secret))->whereNull('used_at')->whereNull('withdrawn_at')
            ->where('until', '>', self::instant($at))->when($toUse, static fn ($query) => $query->lockForUpdate())->first();

        return $row === null ? null : new AccountLink($row->id, $row->kind, $row->user_id, $row->name, $row->email, $row->role);
    }

    public function use(AccountLink $link, CarbonInterface $at): void
    {
        DB::table('account_links')->where('id', $link->id)->update(['used_at' => self::instant($at)]);
        // The first link that is used ends all others to the same account.
        if ($link->userId !== null) {
            DB::table('account_links')->where('user_id', $link->userId)->whereNull('used_at')->update(['withdrawn_at' => self::instant($at)]);
        }
    }

    public function withdraw(string $id, CarbonInterface $at): void
    {
        DB::table('account_links')->where('id', $id)->where('kind', 'invitation')->whereNull('used_at')
            ->update(['withdrawn_at' => self::instant($at)]);
    }

    public static function address(string $secret): string
    {
        return url("/welcome/{$secret}");
    }

    /** When it ends, as it is said in a mail. */
    public function says(CarbonInterface $until): string
    {
        return CarbonImmutable::instance($until)->setTimezone($this->organisation->time_zone)->format('j M Y, H:i');
    }

    /** @param  array<string, string|null>  $about */
    private function make(string $kind, CarbonInterface $at, CarbonInterface $until, array $about): string
    {
        $secret = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        DB::table('account_links')->insert([
            'id' => Str::lower((string) Str::ulid()), 'kind' => $kind, 'hash' => hash('sha256', $secret),
            'made_at' => self::instant($at), 'until' => self::instant($until), ...$about,
        ]);

        return $secret;
    }

    private static function instant(CarbonInterface $at): string
    {
        return $at->copy()->utc()->format('Y-m-d H:i:s');
    }
}
