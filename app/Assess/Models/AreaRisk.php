<?php

declare(strict_types=1);

namespace App\Assess\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A risk that was named for an area.
 *
 * @property int $id
 * @property string $assessment_area_id
 * @property string $risk
 */
final class AreaRisk extends Model
{
    public $timestamps = false;

    protected $table = 'assessment_area_risks';

    protected $guarded = [];
}
