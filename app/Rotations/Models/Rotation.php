<?php

declare(strict_types=1);

namespace App\Rotations\Models;

use App\Accounts\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A plan that was agreed to: which pieces move to where they will be used.
 *
 * @property string $id
 * @property string $made_by_id
 * @property string $made_on
 * @property string|null $ended_on
 * @property int $saved in pieces
 * @property int $value in minor units
 * @property User $madeBy
 * @property Collection<int, RotationMove> $moves
 */
final class Rotation extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function madeBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by_id');
    }

    /** @return HasMany<RotationMove, $this> */
    public function moves(): HasMany
    {
        return $this->hasMany(RotationMove::class)->orderBy('position');
    }
}
