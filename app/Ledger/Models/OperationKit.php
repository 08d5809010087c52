<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A kit that an operation concerned, as it read on that day.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $kit_id
 * @property string $code
 * @property string $name
 * @property string $place
 */
final class OperationKit extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];
}
