<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One row of the ledger. Rows are never changed; a correction is a new one.
 *
 * @property int $number
 * @property string $id
 * @property string $moved_at
 * @property string $lot_id
 * @property int $quantity
 * @property string|null $from_kit_id
 * @property string|null $from_pocket_id
 * @property string|null $from_store_id
 * @property string|null $from_condition
 * @property string|null $to_kit_id
 * @property string|null $to_pocket_id
 * @property string|null $to_store_id
 * @property string|null $to_condition
 * @property string $reason
 * @property string $user_id
 * @property string|null $check_id
 * @property string|null $batch_id
 * @property string $hash
 * @property Lot $lot
 * @property User $user
 * @property Pocket|null $fromPocket
 * @property Pocket|null $toPocket
 * @property Store|null $fromStore
 * @property Store|null $toStore
 */
final class Movement extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'number';

    public $incrementing = false;

    protected $guarded = [];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Pocket, $this> */
    public function fromPocket(): BelongsTo
    {
        return $this->belongsTo(Pocket::class);
    }

    /** @return BelongsTo<Pocket, $this> */
    public function toPocket(): BelongsTo
    {
        return $this->belongsTo(Pocket::class);
    }

    /** @return BelongsTo<Store, $this> */
    public function fromStore(): BelongsTo
    {
        return $this->belongsTo(Store::class);
    }

    /** @return BelongsTo<Store, $this> */
    public function toStore(): BelongsTo
    {
        return $this->belongsTo(Store::class);
    }
}
