<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A seal that was set or broken in an operation.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $kit_id
 * @property string $event
 * @property string|null $seal_number
 * @property string|null $reason
 * @property int|null $set_by
 */
final class Seal extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];
}
