<?php

declare(strict_types=1);

namespace App\Checks\Models;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that arrived late and could not be recorded as it was sent: it stays until somebody settles it.
 *
 * @property int $id
 * @property string $operation_id
 * @property int|null $operation_number
 * @property string $kit_id
 * @property string $kind
 * @property string $because
 * @property string|null $subject
 * @property string|null $lot_number
 * @property string|null $pocket
 * @property int|null $sent
 * @property int|null $recorded
 * @property string|null $pieces_kit_id
 * @property string|null $pieces_pocket_id
 * @property string|null $pieces_lot_id
 * @property string|null $pieces_condition
 * @property int|null $pieces  that are unaccounted for until it is settled
 * @property int|null $other_operation
 * @property string|null $body
 * @property string $user_id
 * @property string $done_at
 * @property string $received_at
 * @property string|null $settled_by_id
 * @property string|null $settled_at
 * @property string|null $settled_note
 * @property Kit $kit
 * @property User $user
 */
final class Unsettled extends Model
{
    public $timestamps = false;

    protected $table = 'unsettled';

    protected $guarded = [];

    /** @return BelongsTo<Kit, $this> */
    public function kit(): BelongsTo
    {
        return $this->belongsTo(Kit::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
