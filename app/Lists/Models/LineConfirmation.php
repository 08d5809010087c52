<?php

declare(strict_types=1);

namespace App\Lists\Models;

use App\Accounts\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a responsible person found for one line beside their own copy of the standard.
 *
 * @property int $id
 * @property string $list_id
 * @property string $line_code
 * @property string $need
 * @property string $outcome
 * @property string $asked
 * @property string|null $figure
 * @property string|null $note
 * @property string $user_id
 * @property string $confirmed_at
 * @property User $user
 */
final class LineConfirmation extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
