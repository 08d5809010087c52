<?php

declare(strict_types=1);

namespace App\People\Models;

use App\Kits\Models\Place;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Sarcina\Core\Kit\Scope;

/**
 * How many first aiders a place asks for in a shift, trained to what.
 *
 * @property int $id
 * @property string $place_id
 * @property string $shift
 * @property Scope $scope
 * @property int $count
 * @property Place $place
 */
final class CoverNeed extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['scope' => Scope::class];
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }
}
