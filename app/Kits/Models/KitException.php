<?php

declare(strict_types=1);

namespace App\Kits\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * That a kit differs from the others of its design on purpose, why, and until when.
 *
 * @property string $id
 * @property string $kit_id
 * @property string $name
 * @property string $reason
 * @property string $ends_on
 * @property string $made_by_id
 * @property string $made_on
 * @property string|null $ended_by_id
 * @property string|null $ended_on
 */
final class KitException extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];
}
