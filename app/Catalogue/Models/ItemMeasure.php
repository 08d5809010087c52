<?php

declare(strict_types=1);

namespace App\Catalogue\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A measure of an item, exactly as entered: width, "12 cm".
 *
 * @property int $id
 * @property string $item_id
 * @property string $measure
 * @property string $quantity
 */
final class ItemMeasure extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
