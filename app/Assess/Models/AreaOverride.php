<?php

declare(strict_types=1);

namespace App\Assess\Models;

use App\Accounts\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A figure that the responsible person put in place of the calculated one, and why.
 *
 * @property int $id
 * @property string $assessment_area_id
 * @property string $plan
 * @property string $wanted
 * @property int $count
 * @property string $reason
 * @property string $user_id
 * @property string $decided_at
 * @property User $user
 */
final class AreaOverride extends Model
{
    public $timestamps = false;

    protected $table = 'assessment_overrides';

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
