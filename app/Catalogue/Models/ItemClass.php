<?php

declare(strict_types=1);

namespace App\Catalogue\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A class of the tree that items are sorted into, written with dots.
 *
 * @property string $class
 * @property string $title
 */
final class ItemClass extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'item_classes';

    protected $primaryKey = 'class';

    protected $keyType = 'string';

    protected $guarded = [];
}
