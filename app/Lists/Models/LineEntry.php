<?php

declare(strict_types=1);

namespace App\Lists\Models;

use App\Catalogue\Models\Item;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One entry of what a line accepts, in order of preference: an item, or a class with minimum and maximum measures.
 *
 * @property int $id
 * @property string $line_id
 * @property int $position
 * @property string|null $item_id
 * @property string|null $class
 * @property Item|null $item
 * @property Collection<int, LineEntryLimit> $limits
 */
final class LineEntry extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return HasMany<LineEntryLimit, $this> */
    public function limits(): HasMany
    {
        return $this->hasMany(LineEntryLimit::class);
    }

    /** @return array<string, string> minimum quantity by measure */
    public function minima(): array
    {
        return $this->limits->where('is_maximum', false)->pluck('quantity', 'measure')->all();
    }

    /** @return array<string, string> maximum quantity by measure */
    public function maxima(): array
    {
        return $this->limits->where('is_maximum', true)->pluck('quantity', 'measure')->all();
    }
}
