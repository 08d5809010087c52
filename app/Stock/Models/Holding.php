<?php

declare(strict_types=1);

namespace App\Stock\Models;

use App\Kits\Models\Kit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What lies where now: a projection of the ledger.
 *
 * @property int $id
 * @property string $whereabouts
 * @property string|null $kit_id
 * @property string|null $pocket_id
 * @property string|null $store_id
 * @property string $lot_id
 * @property string $condition as PieceCondition writes it
 * @property int $quantity
 * @property Lot $lot
 * @property Kit|null $kit
 * @property Store|null $store
 */
final class Holding extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Kit, $this> */
    public function kit(): BelongsTo
    {
        return $this->belongsTo(Kit::class);
    }

    /** @return BelongsTo<Store, $this> */
    public function store(): BelongsTo
    {
        return $this->belongsTo(Store::class);
    }
}
