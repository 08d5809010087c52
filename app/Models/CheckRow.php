<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was counted in one pocket of one lot in one condition, beside what was recorded.
 *
 * @property int $id
 * @property int $check_number
 * @property int $position
 * @property string $pocket_id
 * @property string $lot_id
 * @property string $condition
 * @property int $recorded
 * @property int $counted
 * @property Lot $lot
 * @property Pocket $pocket
 */
final class CheckRow extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Pocket, $this> */
    public function pocket(): BelongsTo
    {
        return $this->belongsTo(Pocket::class);
    }
}
