<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Something about a kit that became something else in an operation.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $kit_id
 * @property string $field
 * @property string|null $was
 * @property string|null $becomes
 * @property string|null $was_name
 * @property string|null $becomes_name
 */
final class KitChange extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];
}
