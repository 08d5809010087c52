<?php

declare(strict_types=1);

namespace App\Kits\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A day on which something in a kit runs out or a check falls due.
 *
 * @property int $id
 * @property string $kit_id
 * @property string $place_id
 * @property string $day
 * @property string $kind
 * @property string $texts
 * @property Kit $kit
 */
final class KitDate extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Kit, $this> */
    public function kit(): BelongsTo
    {
        return $this->belongsTo(Kit::class);
    }
}
