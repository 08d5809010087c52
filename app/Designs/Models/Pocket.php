<?php

declare(strict_types=1);

namespace App\Designs\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A pocket of a leaf, where it lies on a grid.
 *
 * @property string $id
 * @property string $leaf_id
 * @property string $name
 * @property int $row
 * @property int $column
 * @property int $row_span
 * @property int $column_span
 * @property string|null $module_list_id
 */
final class Pocket extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];
}
