<?php

declare(strict_types=1);

namespace App\Kits\Models;

use App\Lists\Models\KitList;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A module that was put into one kit beside its design.
 *
 * @property int $id
 * @property string $kit_id
 * @property string $module
 * @property string $list_id
 * @property KitList $list
 */
final class KitModule extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<KitList, $this> */
    public function list(): BelongsTo
    {
        return $this->belongsTo(KitList::class);
    }
}
