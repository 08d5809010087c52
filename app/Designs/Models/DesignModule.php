<?php

declare(strict_types=1);

namespace App\Designs\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A module that the list and additions of an edition hold already.
 *
 * @property int $id
 * @property string $design_edition_id
 * @property string $module
 */
final class DesignModule extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
