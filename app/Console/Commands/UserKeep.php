<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\AccountLinks;
use App\Accounts\ChangeAccount;
use App\Accounts\Models\User;
use App\Accounts\Role;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

/** For who is locked out: whoever runs the instance lists accounts, adds one, and makes a link by which a password is set anew. */
final class UserKeep extends Command
{
    protected $signature = 'user {do : list, add or reset} {email?} {--name=} {--role=lead}';

    protected $description = 'Lists accounts; adds one; makes a link by which somebody sets their password anew, without a second factor';

    public function handle(AccountLinks $links, ChangeAccount $change): int
    {
        $email = $this->argument('email');
        $email = is_string($email) ? Str::lower(trim($email)) : '';

        return match ($this->argument('do')) {
            'list' => $this->list(),
            'add' => $this->add($email),
            'reset' => $this->reset($email, $links, $change),
            default => $this->refuse('Say what to do: list, add or reset.'),
        };
    }

    private function list(): int
    {
        foreach (User::query()->orderBy('name')->get() as $user) {
            $this->line(implode('  ', [
                str_pad($user->email, 34), str_pad($user->name, 24), str_pad($user->role->value, 8), $user->isActive() ? ''
                    : "ended on {$user->deactivated_on}",
            ]));
        }

        return self::SUCCESS;
    }

    private function add(string $email): int
    {
        $name = $this->option('name');
        $role = Role::tryFrom(is_string($this->option('role')) ? $this->option('role') : '');
        $fault = match (true) {
            Validator::make(['email' => $email], ['email' => ['required', 'email', 'max:190']])
                ->fails() => 'Give an email address, such as name@place.example.',
            ! is_string($name) || trim($name) === '' => 'Give a name: --name "Maren Oduya".',
            $role === null => 'A role is lead, keeper, member or auditor.',
            User::query()->where('email', $email)->exists() => "There is an account {$email} already; reset makes a link for it.",
            default => null,
        };
        if ($fault !== null || $role === null || ! is_string($name)) {
            return $this->refuse((string) $fault);
        }
        $user = User::query()->create(['name' => trim($name), 'email' => $email, 'role' => $role, 'password' => Str::random(40)]);

        return $this->say(app(AccountLinks::class)->forPassword($user, null, now()));
    }

    private function reset(string $email, AccountLinks $links, ChangeAccount $change): int
    {
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            return $this->refuse("There is no account {$email}; list shows all.");
        }
        // Whoever runs the instance lets them in: without the app that is lost, and though the account had ended.
        $change->removeFactor($user);
        $change->activate($user);

        return $this->say($links->forPassword($user, null, now()));
    }

    private function say(string $secret): int
    {
        $this->line('Open this within '.AccountLinks::PASSWORD_HOURS.' hours; it works once:');
        $this->line(AccountLinks::address($secret));

        return self::SUCCESS;
    }

    private function refuse(string $why): int
    {
        $this->error($why);

        return self::FAILURE;
    }
}
