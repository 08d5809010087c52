<?php

declare(strict_types=1);

namespace App\Stock\Models;

use App\Catalogue\Models\Item;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Pieces of one item made together: a number and a date as printed, either of which may be lacking.
 *
 * @property string $id
 * @property string $item_id
 * @property string|null $number
 * @property string|null $expires
 * @property string|null $good_until
 * @property Item $item
 */
final class Lot extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}
