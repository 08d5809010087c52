<?php

declare(strict_types=1);

namespace App\Stock\Models;

use App\Kits\Models\Place;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A store cupboard.
 *
 * @property string $id
 * @property string $place_id
 * @property string $name
 * @property string|null $retired_on
 * @property Place $place
 */
final class Store extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }
}
