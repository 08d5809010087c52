<?php

declare(strict_types=1);

namespace App\Lists\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What many kits would have added, moved and removed under another edition, as of the moment at which it was begun.
 *
 * @property string $id
 * @property string $from_id
 * @property string $to_id
 * @property string $user_id
 * @property string $state
 * @property int $kits
 * @property int $done
 * @property int $version
 * @property int $operation
 * @property string $day
 * @property string $made_at
 * @property KitList $from
 * @property KitList $to
 */
final class EditionPreview extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<KitList, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(KitList::class, 'from_id');
    }

    /** @return BelongsTo<KitList, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(KitList::class, 'to_id');
    }
}
