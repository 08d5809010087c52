<?php

declare(strict_types=1);

namespace App\Tasks\Models;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Tasks\TaskKind;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Work on a kit, given to one person with a day.
 *
 * @property string $id
 * @property string $kit_id
 * @property TaskKind $kind
 * @property string|null $text
 * @property string $user_id
 * @property string $due_on
 * @property string|null $lot_id
 * @property int|null $quantity
 * @property string $given_by_id
 * @property string $given_on
 * @property string $state
 * @property string|null $outcome
 * @property string|null $closed_by_id
 * @property string|null $closed_on
 * @property Kit $kit
 * @property User $user
 */
final class KitTask extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => TaskKind::class];
    }

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
