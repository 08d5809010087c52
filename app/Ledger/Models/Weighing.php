<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A kit as it was weighed, in grams, beside what was calculated.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $kit_id
 * @property int $computed_g
 * @property int $weighed_g
 * @property string|null $because
 */
final class Weighing extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];
}
