<?php

declare(strict_types=1);

namespace App\Kits\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A day on which kits go out.
 *
 * @property string $id
 * @property string $name
 * @property string $day
 */
final class Event extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];
}
