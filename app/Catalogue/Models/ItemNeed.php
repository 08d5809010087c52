<?php

declare(strict_types=1);

namespace App\Catalogue\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * What an item does not work without.
 *
 * @property int $id
 * @property string $item_id
 * @property string $per
 * @property int $quantity
 * @property string $reason
 * @property Collection<int, Item> $companions
 */
final class ItemNeed extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsToMany<Item, $this> */
    public function companions(): BelongsToMany
    {
        return $this->belongsToMany(Item::class, 'item_need_companions');
    }
}
