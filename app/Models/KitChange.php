<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was done to a kit that is no movement of its contents: made, moved, upgraded, retired.
 *
 * @property int $id
 * @property string $kit_id
 * @property string $kind
 * @property string $text
 * @property string $user_id
 * @property string $changed_at
 * @property User $user
 */
final class KitChange extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
