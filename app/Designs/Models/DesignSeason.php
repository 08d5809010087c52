<?php

declare(strict_types=1);

namespace App\Designs\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A day of the year on which kits of an edition are checked, MM-DD.
 *
 * @property int $id
 * @property string $design_edition_id
 * @property string $month_day
 */
final class DesignSeason extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
