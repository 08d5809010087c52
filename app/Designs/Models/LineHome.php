<?php

declare(strict_types=1);

namespace App\Designs\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * In which pocket a line lives.
 *
 * @property int $id
 * @property string $design_id
 * @property string $line_id
 * @property string $pocket_id
 * @property int $position
 */
final class LineHome extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
