<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * So many pieces of a lot that went from one place to another in an operation.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $lot_id
 * @property string $item_code
 * @property string $item_name
 * @property string|null $lot_number
 * @property string|null $expires
 * @property int $quantity
 * @property string|null $from_kit_id
 * @property string|null $from_pocket_id
 * @property string|null $from_pocket
 * @property string|null $from_store_id
 * @property string|null $from_condition
 * @property string|null $to_kit_id
 * @property string|null $to_pocket_id
 * @property string|null $to_pocket
 * @property string|null $to_store_id
 * @property string|null $to_condition
 * @property string $reason
 */
final class Movement extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];
}
