<?php

declare(strict_types=1);

namespace App\Catalogue\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A size in which an item is bought.
 *
 * @property int $id
 * @property string $item_id
 * @property int $pieces
 * @property int|null $price
 */
final class ItemPack extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
