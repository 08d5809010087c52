<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a check found, in words.
 *
 * @property int $id
 * @property int $check_number
 * @property int $position
 * @property string $kind
 * @property string $severity
 * @property string $text
 */
final class CheckFinding extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
