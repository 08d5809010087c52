<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Validation\ValidationException;

/** Makes the account of an invitation, or sets a password anew; the link is used by it. */
final class AcceptLink
{
    public function __construct(private readonly AccountLinks $links, private readonly UserSessions $sessions)
    {
    }

    /** @return User|null null where somebody else used the link at the same moment */
    public function __invoke(string $secret, string $name, string $password, CarbonInterface $at): ?User
    {
        return Transaction::run(function () use ($secret, $name, $password, $at): ?User {
            $link = $this->links->find($secret, $at, true);
            if ($link === null) {
                return null;
            }
            $this->links->use($link, $at);
            if ($link->kind === 'password') {
                $user = User::query()->where('id', $link->userId)->where('deactivated_on', null)->lockForUpdate()->first();
                $user?->forceFill(['password' => $password])->save();
                $user === null ? null : $this->sessions->endAll($user);

                return $user;
            }
            if (User::query()->where('email', $link->email)->exists()) {
                throw ValidationException::withMessages([
                    'password' => 'There is an account with this address already. Sign in, or ask for a new password.',
                ]);
            }

            return User::query()->create([
                'name' => $name === '' ? (string) $link->name : $name, 'email' => (string) $link->email, 'password' => $password,
                'role' => Role::from((string) $link->role),
            ]);
        });
    }
}
