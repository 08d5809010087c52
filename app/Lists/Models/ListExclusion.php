<?php

declare(strict_types=1);

namespace App\Lists\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A class that a list keeps out.
 *
 * @property int $id
 * @property string $list_id
 * @property string $class
 */
final class ListExclusion extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
