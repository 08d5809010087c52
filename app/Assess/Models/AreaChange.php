<?php

declare(strict_types=1);

namespace App\Assess\Models;

use App\Accounts\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody saw that is no longer as it was assessed.
 *
 * @property int $id
 * @property string $assessment_area_id
 * @property string $what
 * @property string $user_id
 * @property string $seen_on
 * @property User $user
 */
final class AreaChange extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
