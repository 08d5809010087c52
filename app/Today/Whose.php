<?php

declare(strict_types=1);

namespace App\Today;

use App\Accounts\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whose kits a worklist is of: all, those that one person answers for or was given work on, or those that nobody answers for. */
final readonly class Whose
{
    private function __construct(private string $which, private string $userId)
    {
    }

    /** @param  string  $which  all, mine or nobody */
    public static function of(string $which, User $user): self
    {
        return new self($which, $user->id);
    }

    public static function anybody(): self
    {
        return new self('all', '');
    }

    public function isAll(): bool
    {
        return $this->which === 'all';
    }

    /** @param  Builder  $states  of `kit_states` */
    public function among(Builder $states): Builder
    {
        return match ($this->which) {
            'mine' => $states->where(fn (Builder $any) => $any
                ->whereIn('kit_states.kit_id', DB::table('kits')->where('responsible_id', $this->userId)->select('id'))
                ->orWhereIn('kit_states.kit_id', DB::table('kits')->where('deputy_id', $this->userId)->select('id'))
                ->orWhereIn('kit_states.kit_id', DB::table('kit_tasks')->where('user_id', $this->userId)->where('state', 'open')->select('kit_id'))),
            'nobody' => $states->whereIn('kit_states.kit_id', DB::table('kits')->whereNull('responsible_id')->select('id')),
            default => $states,
        };
    }
}
