<?php

declare(strict_types=1);

namespace App\Reports\Models;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody says was used from a kit who may not record it.
 *
 * @property string $id
 * @property string $kit_id
 * @property string|null $report_code_id
 * @property string|null $user_id
 * @property string $reported_at
 * @property string|null $outcome confirmed or rejected; null while it waits
 * @property string|null $decided_by_id
 * @property string|null $decided_at
 * @property string|null $reason
 * @property int|null $operation_number
 * @property Kit $kit
 * @property User|null $user
 * @property User|null $decidedBy
 */
final class KitReport extends Model
{
    use HasUlids;

    public $timestamps = false;

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

    /** @return BelongsTo<User, $this> */
    public function decidedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by_id');
    }
}
