<?php

declare(strict_types=1);

namespace App\Cope\Models;

use App\Accounts\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Sarcina\Core\Kit\Scope;

/**
 * A kind of emergency: who may deal with it, and what it rests on. What each casualty takes stands in `emergency_needs`.
 *
 * @property string $id
 * @property string $code
 * @property string $title
 * @property Scope $scope
 * @property string $basis
 * @property int $helpers who deal with one casualty
 * @property int $position
 * @property int $revision
 * @property CarbonImmutable|null $confirmed_at
 * @property string|null $confirmed_by_id
 * @property User|null $confirmedBy
 */
final class Emergency extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function confirmedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'confirmed_by_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['scope' => Scope::class, 'confirmed_at' => 'immutable_datetime'];
    }
}
