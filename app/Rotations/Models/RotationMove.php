<?php

declare(strict_types=1);

namespace App\Rotations\Models;

use App\Kits\Models\Kit;
use App\Stock\Models\Lot;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Pieces of a lot that move from one kit to another.
 *
 * @property string $id
 * @property string $rotation_id
 * @property string $lot_id
 * @property string $from_kit_id
 * @property string $to_kit_id
 * @property int $quantity
 * @property int|null $operation_number once it is done
 * @property string|null $dropped_because why it is not done after all
 * @property Rotation $rotation
 * @property Lot $lot
 * @property Kit $from
 * @property Kit $to
 */
final class RotationMove extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Rotation, $this> */
    public function rotation(): BelongsTo
    {
        return $this->belongsTo(Rotation::class);
    }

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Kit, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Kit::class, 'from_kit_id');
    }

    /** @return BelongsTo<Kit, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Kit::class, 'to_kit_id');
    }
}
