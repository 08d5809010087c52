<?php

declare(strict_types=1);

namespace App\Rounds\Models;

use App\Accounts\Models\User;
use App\Stock\Models\Store;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A round on which several kits are restocked from one store.
 *
 * @property string $id
 * @property string $store_id
 * @property string $made_by_id
 * @property string $made_at
 * @property string|null $ended_at
 * @property Store $store
 * @property User $madeBy
 */
final class Round extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'restock_rounds';

    protected $guarded = [];

    /** @return BelongsTo<Store, $this> */
    public function store(): BelongsTo
    {
        return $this->belongsTo(Store::class);
    }

    /** @return BelongsTo<User, $this> */
    public function madeBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by_id');
    }
}
