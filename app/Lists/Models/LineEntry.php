<?php

declare(strict_types=1);

namespace App\Lists\Models;

use App\Catalogue\Models\Item;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What a line accepts, in order of preference: an item, or a class with least measures.
 *
 * @property int $id
 * @property string $line_id
 * @property int $position
 * @property string|null $item_id
 * @property string|null $class
 * @property Item|null $item
 * @property Collection<int, LineEntryMinimum> $minima
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

    /** @return HasMany<LineEntryMinimum, $this> */
    public function minima(): HasMany
    {
        return $this->hasMany(LineEntryMinimum::class);
    }
}
