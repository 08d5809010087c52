<?php

declare(strict_types=1);

namespace App\People\Models;

use App\Kits\Models\Place;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Where a first aider is assigned, and for which shift.
 *
 * @property int $id
 * @property string $first_aider_id
 * @property string $place_id
 * @property string $shift
 * @property Place $place
 */
final class Posting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }
}
