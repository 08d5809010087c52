<?php

declare(strict_types=1);

namespace App\Assess\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A module that goes into the kit which a task makes or upgrades.
 *
 * @property int $id
 * @property string $plan_task_id
 * @property string $module
 */
final class PlanTaskModule extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
