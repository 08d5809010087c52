<?php

declare(strict_types=1);

namespace App\Accounts\Models;

use App\Accounts\Role;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * Somebody who signs in.
 *
 * @property string $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property string|null $deactivated_on
 * @property string|null $factor_secret
 * @property int|null $factor_used_step
 * @property string|null $signed_in_at
 */
final class User extends Authenticatable
{
    use HasUlids;

    protected $guarded = [];

    protected $hidden = ['password', 'factor_secret'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'factor_used_step' => 'integer'];
    }

    /** Whether it may sign in and be given work; records keep its name either way. */
    public function isActive(): bool
    {
        return $this->deactivated_on === null;
    }

    /** Sessions end when they end: nobody is remembered on a device that may be shared. */
    public function getRememberTokenName(): string
    {
        return '';
    }
}
